<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;

/**
 * What became of a part at a plant once the change has cut in there: what nobody wants of it any more, and what of it cannot be had in
 * time. The plan says the same beforehand, so that both can be held against each other. Quantities in millionths.
 *
 * 100 old gaskets lie there, 40 still come, and service wants 60 within the time looked at and, at that rate, 60 in as long again: 20
 * are left over. Of the new one 10 are wanted tomorrow, 4 lie there and a new order takes a week: 6 are short.
 */
final readonly class Outcome
{
    private function __construct(public int $left, public int $short) {}

    /** What the plan says of the day to cut in. */
    public static function planned(PartDay $on): self
    {
        return new self($on->left, FixedPoint::add($on->hurried, $on->missing));
    }

    /**
     * What is so today, the change being in.
     *
     * @param  bool  $goes  whether the change took it from anybody: what is there of a part that only comes is nothing to be rid of
     */
    public static function today(Part $part, Levers $levers, PlantDays $days, bool $goes): self
    {
        $on = (new PartCourse($part, $levers, $days))->on(0);

        return new self($goes ? self::left($part, $levers) : 0, self::planned($on)->short);
    }

    private static function left(Part $part, Levers $levers): int
    {
        $demand = $part->demand;
        $comes = array_map(static fn(Receipt $one): int => $one->quantity, $part->receipts);
        $wanted = FixedPoint::sum(...$demand->from, ...$demand->others);
        $late = $levers->lateFromStock ? FixedPoint::add($demand->late['until'], $demand->late['others']) : 0;

        // Behind the time looked at a part goes on at its mean rate for as long again, as in the plan.
        return max(0, FixedPoint::sum($part->stock, -$part->keep, -$late, ...[...$comes, -$wanted, -$wanted]));
    }
}
