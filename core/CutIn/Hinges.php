<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Money;

/** What the answer of a plan hangs on: each assumption a tenth less and a tenth more, the rest as it is. */
final readonly class Hinges
{
    /**
     * @param  non-empty-list<PlantCase>  $cases
     * @return list<Hinge> those that move anything, the worst first; none when no day is possible
     */
    public static function of(array $cases, Levers $levers): array
    {
        $base = self::best($cases, $levers);
        if ($base === null) {
            return [];
        }
        $hinges = [];
        foreach ([Guess::Demand, Guess::Approval, Guess::Tooling, Guess::Straddling] as $guess) {
            $hinges[] = self::hinge($guess, '', $cases, $levers, $base);
        }
        $numbers = [];
        foreach ($cases as $case) {
            foreach ($case->parts as $part) {
                $numbers[$part->number] = true;
            }
        }
        foreach (array_map(strval(...), array_keys($numbers)) as $number) {
            foreach (Guess::ofParts() as $guess) {
                $hinges[] = self::hinge($guess, $number, $cases, $levers, $base);
            }
        }
        $hinges = array_values(array_filter($hinges, static fn(Hinge $hinge): bool => $hinge->moves()));
        usort($hinges, static fn(Hinge $a, Hinge $b): int => $b->weight() <=> $a->weight());

        return $hinges;
    }

    /** @param  non-empty-list<PlantCase>  $cases */
    private static function hinge(Guess $guess, string $number, array $cases, Levers $levers, CutInDay $base): Hinge
    {
        $moved = array_map(
            static fn(int $tenths): ?CutInDay => self::best(
                array_map(static fn(PlantCase $case): PlantCase => self::changed($case, $guess, $number, $tenths), $cases),
                self::turned($levers, $guess, $tenths),
            ),
            [9, 11],
        );
        $cost = static fn(?CutInDay $day): Money => ($day ?? $base)->total->minus($base->total);

        return new Hinge(
            guess: $guess,
            part: $number,
            dayLess: $moved[0] === null ? null : $moved[0]->day - $base->day,
            dayMore: $moved[1] === null ? null : $moved[1]->day - $base->day,
            costLess: $cost($moved[0]),
            costMore: $cost($moved[1]),
        );
    }

    /** @param  non-empty-list<PlantCase>  $cases */
    private static function best(array $cases, Levers $levers): ?CutInDay
    {
        $plan = CutInPlan::of($cases, $levers);

        return $plan->best->leastCost === null ? null : $plan->days[$plan->best->leastCost];
    }

    private static function changed(PlantCase $case, Guess $guess, string $number, int $tenths): PlantCase
    {
        return new PlantCase(
            $case->plant,
            $case->days,
            array_map(
                static fn(Part $part): Part => $guess === Guess::Demand || $part->number === $number
                    ? self::part($part, $guess, $tenths)
                    : $part,
                $case->parts,
            ),
            $case->orders,
        );
    }

    private static function part(Part $part, Guess $guess, int $tenths): Part
    {
        $share = static fn(int $of): int => FixedPoint::scale($of, $tenths, 10);
        $amount = static fn(Money $of): Money => Money::ofTenThousandths($share($of->tenThousandths));

        return match ($guess) {
            Guess::Demand => $part->with(demand: $part->demand->thousandths(100 * $tenths)),
            Guess::Stock => $part->with(stock: $share($part->stock)),
            Guess::Receipts => $part->with(
                receipts: array_map(static fn(Receipt $one): Receipt => $one->with(quantity: $share($one->quantity)), $part->receipts),
            ),
            Guess::LeadTime => $part->leadDays === null ? $part : $part->with(leadDays: self::days($part->leadDays, $tenths)),
            Guess::Cost => $part->with(cost: $amount($part->cost)),
            Guess::Disposal => $part->with(disposal: $amount($part->disposal)),
            Guess::Penalty => $part->with(penalty: $amount($part->penalty)),
            Guess::CancelFees => $part->with(
                receipts: array_map(
                    static fn(Receipt $one): Receipt => $one->cancelFee === null ? $one : $one->with(cancelFee: $amount($one->cancelFee)),
                    $part->receipts,
                ),
            ),
            default => $part,
        };
    }

    private static function turned(Levers $levers, Guess $guess, int $tenths): Levers
    {
        return match ($guess) {
            Guess::Approval => $levers->with(approvalDays: self::days($levers->approvalDays, $tenths)),
            Guess::Tooling => $levers->with(toolingDay: self::days($levers->toolingDay, $tenths)),
            Guess::Straddling => $levers->with(
                perStraddle: Money::ofTenThousandths(FixedPoint::scale($levers->perStraddle->tenThousandths, $tenths, 10)),
            ),
            default => $levers,
        };
    }

    /** A tenth of days is one at least, where there are any. */
    private static function days(int $days, int $tenths): int
    {
        $tenth = $days === 0 ? 0 : max(1, intdiv($days + 5, 10));

        return $days + ($tenths < 10 ? -$tenth : $tenth);
    }
}
