<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;

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
            if ($courses[$i]->runOut !== null && $part->demand->goes) {
                $runOuts[] = $courses[$i]->runOut;
            }
        }
        $straddling = self::straddling($case);
        $costs = new PlantCosts($case->horizon());
        foreach ($case->parts as $i => $part) {
            $costs->add($part, $courses[$i]);
        }
        $perStraddle = $levers->perStraddle->tenThousandths;
        // Most amounts stand on many days: each is made once.
        $money = [];
        $days = [];
        [$leftover, $cancellation, $shortage] = [$costs->leftover, $costs->cancellation, $costs->shortage];
        [$recurring, $atRisk, $isSustained, $touched] = [$costs->recurring, $costs->atRisk, $costs->isSustained, $costs->touched];
        foreach ($straddling as $day => $under) {
            $orders = $under === 0 ? 0 : FixedPoint::scale($perStraddle, $under, 1);
            $days[] = new CutInDay(
                day: $day,
                isPossible: $day >= $isReady && $isSustained[$day] && $case->days->worksOn($day),
                leftover: ($money[$leftover[$day]] ??= Money::ofTenThousandths($leftover[$day])),
                cancellation: ($money[$cancellation[$day]] ??= Money::ofTenThousandths($cancellation[$day])),
                shortage: ($money[$shortage[$day]] ??= Money::ofTenThousandths($shortage[$day])),
                straddling: ($money[$orders] ??= Money::ofTenThousandths($orders)),
                recurring: ($money[$recurring[$day]] ??= Money::ofTenThousandths($recurring[$day])),
                countsRecurring: $counts,
                disturbed: $under + $touched[$day],
                atRisk: ($money[$atRisk[$day]] ??= Money::ofTenThousandths($atRisk[$day])),
            );
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
     * What is hurried and missing costs.
     *
     * @return int ten-thousandths
     */
    public static function shortage(Part $part, int $hurried, int $missing): int
    {
        $cost = self::price($part->penalty, $missing);

        return $hurried === 0 || $part->expediting === null
            ? $cost
            : $cost + self::price($part->expediting->premium, $hurried) + $part->expediting->fee->tenThousandths;
    }

    /** @return int ten-thousandths */
    public static function price(Money $each, int $quantity): int
    {
        return $quantity === 0 || $each->tenThousandths === 0 ? 0 : FixedPoint::scale($each->tenThousandths, $quantity, Quantity::ONE);
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
