<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;

use function is_int;

/** What every day to cut in would mean at one plant. */
final readonly class PlantPlan
{
    public BestDays $best;

    /**
     * @param  list<CutInDay>  $days  every day from today
     * @param  list<PartCourse>  $courses  of each part, in their order
     * @param  ?int  $runOut  the first day on which stock and receipts of a part that is wanted until the cut-in do not last
     * @param  list<string>  $waitsFor  what the earliest day waits for: "approval", "tooling", numbers of parts
     * @param  list<string>  $unknownLeads  numbers of the parts of which somebody has to say the lead time
     */
    private function __construct(
        public PlantCase $case,
        public array $days,
        public array $courses,
        public ?int $runOut,
        public array $waitsFor,
        public array $unknownLeads,
    ) {
        $this->best = BestDays::of($days);
    }

    /** @param  ?bool  $countsRecurring  whether what the change costs more from the day on counts; null: where it saves */
    public static function of(PlantCase $case, Levers $levers, ?bool $countsRecurring = null): self
    {
        $counts = $countsRecurring ?? ($levers->countsRecurring ?? $case->saves());
        $courses = array_map(static fn(Part $part): PartCourse => new PartCourse($part, $levers, $case->days), $case->parts);
        $waits = ['approval' => $case->days->after(0, $levers->approvalDays), 'tooling' => max(0, $levers->toolingDay)];
        $unknown = $runOuts = [];
        $isReady = max($waits);
        foreach ($case->parts as $i => $part) {
            $waits[$part->number] = $courses[$i]->sustainedFrom();
            if ($courses[$i]->needsLeadTime()) {
                $unknown[] = $part->number;
            }
            if ($courses[$i]->runOut !== null && array_filter($part->demand->until) !== []) {
                $runOuts[] = $courses[$i]->runOut;
            }
        }
        $straddling = self::straddling($case);
        $days = [];
        for ($day = 0, $count = $case->horizon(); $day < $count; $day++) {
            $days[] = self::day($case, $courses, $levers, $day, $day >= $isReady && $case->days->worksOn($day), $straddling[$day], $counts);
        }
        $last = max(0, ...array_values($waits));

        return new self(
            case: $case,
            days: $days,
            courses: $courses,
            runOut: $runOuts === [] ? null : min($runOuts),
            waitsFor: $last === 0 ? [] : array_map(strval(...), array_keys($waits, $last, true)),
            unknownLeads: $unknown,
        );
    }

    /**
     * Made for every day, so what overflows, and becomes a float, is looked at once.
     *
     * @param  list<PartCourse>  $courses
     */
    private static function day(
        PlantCase $case,
        array $courses,
        Levers $levers,
        int $day,
        bool $isPossible,
        int $straddling,
        bool $counts,
    ): CutInDay {
        $left = $cancelled = $short = $more = $risk = 0;
        $disturbed = $straddling;
        foreach ($case->parts as $i => $part) {
            $on = $courses[$i]->on($day);
            $isPossible = $isPossible && $on->isSustained;
            $left += self::price($part->disposal, $on->left);
            $cancelled += $on->fees;
            $short += self::shortage($part, $on);
            $more += self::price($part->cost, $on->recurring);
            $risk += self::price($part->cost, $on->atRisk);
            $disturbed += $on->touched;
        }
        // @phpstan-ignore function.alreadyNarrowedType
        is_int($left + $cancelled + $short + $more + $risk) ||
            throw new \OverflowException('What a day costs becomes too large here to be kept exactly.');

        return new CutInDay(
            day: $day,
            isPossible: $isPossible,
            leftover: self::amount($left),
            cancellation: self::amount($cancelled),
            shortage: self::amount($short),
            straddling: self::amount($straddling === 0 ? 0 : FixedPoint::scale($levers->perStraddle->tenThousandths, $straddling, 1)),
            recurring: self::amount($more),
            countsRecurring: $counts,
            disturbed: $disturbed,
            atRisk: self::amount($risk),
        );
    }

    /** Most parts of most days are nothing: that is made once. */
    private static function amount(int $tenThousandths): Money
    {
        /** @var ?Money $nothing */
        static $nothing = null;
        $nothing ??= Money::zero();

        return $tenThousandths === 0 ? $nothing : Money::ofTenThousandths($tenThousandths);
    }

    /** What is missing and hurried costs, ten-thousandths. */
    public static function shortage(Part $part, PartDay $on): int
    {
        $missing = self::price($part->penalty, $on->missing);

        return $on->hurried === 0 || $part->expediting === null
            ? $missing
            : $missing + self::price($part->expediting->premium, $on->hurried) + $part->expediting->fee->tenThousandths;
    }

    /** @return int ten-thousandths */
    public static function price(Money $each, int $quantity): int
    {
        return $quantity === 0 ? 0 : FixedPoint::scale($each->tenThousandths, $quantity, Quantity::ONE);
    }

    /** @return list<int> how many started work orders are under way on each day */
    private static function straddling(PlantCase $case): array
    {
        $under = array_fill(0, $case->horizon(), 0);
        foreach ($case->orders as $order) {
            for ($day = max(0, $order->first + 1), $end = min($case->horizon(), $order->done); $day < $end; $day++) {
                $under[$day] += $order->straddles($day) ? 1 : 0;
            }
        }

        return array_values($under);
    }
}
