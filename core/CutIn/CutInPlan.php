<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Money;

use function is_int;

/** The day on which new parts take the place of old ones: what every day would cost, and which day is best by which measure. */
final readonly class CutInPlan
{
    /**
     * @param  list<CutInDay>  $days  every day from today
     * @param  list<PairCourse>  $courses  of each pair, in their order
     * @param  int  $earliest  the first day on which it is possible; the number of days when none of them is
     * @param  ?int  $runOut  the first day on which any old part runs short
     * @param  list<string>  $waitsFor  what the earliest day waits for
     */
    private function __construct(
        public array $days,
        public array $courses,
        public int $earliest,
        public ?int $runOut,
        public ?int $leastCost,
        public ?int $leastDisturbing,
        public ?int $prescribed,
        public array $waitsFor,
    ) {}

    /**
     * @param  non-empty-list<Pair>  $pairs  with as many days of demand each
     * @param  list<OpenOrder>  $orders  that take any of the old parts
     */
    public static function of(array $pairs, array $orders, Levers $levers): self
    {
        $count = count($pairs[0]->demand);
        $courses = array_map(static fn(Pair $pair): PairCourse => new PairCourse($pair, $levers), $pairs);
        $straddling = self::straddling($orders, $count);
        $days = [];
        $none = Money::zero();
        for ($day = 0; $day < $count; $day++) {
            $left = $cancelled = $short = $more = 0;
            $disturbed = $straddling[$day];
            foreach ($courses as $course) {
                $cost = $course->cost($day);
                $left += $cost[0];
                $cancelled += $cost[1];
                $short += $cost[2];
                $more += $cost[3];
                $disturbed += $course->late[$day];
            }
            // What overflows becomes a float, and stays one: looked at once for all of them.
            // @phpstan-ignore function.alreadyNarrowedType
            is_int($left + $cancelled + $short + $more) ||
                throw new \OverflowException('What a day costs becomes too large here to be kept exactly.');
            $days[] = new CutInDay(
                day: $day,
                leftover: $left === 0 ? $none : Money::ofTenThousandths($left),
                cancellation: $cancelled === 0 ? $none : Money::ofTenThousandths($cancelled),
                shortage: $short === 0 ? $none : Money::ofTenThousandths($short),
                straddling: $straddling[$day] === 0
                    ? $none
                    : Money::ofTenThousandths(FixedPoint::scale($levers->perStraddle->tenThousandths, $straddling[$day], 1)),
                recurring: $more === 0 ? $none : Money::ofTenThousandths($more),
                disturbed: $disturbed,
            );
        }
        $waits = ['approval' => $levers->approvalDays, 'tooling' => $levers->toolingDay];
        foreach ($courses as $i => $course) {
            $waits[$pairs[$i]->new->number] = $course->newThere;
        }
        $earliest = max(0, ...array_values($waits));
        [$leastCost, $leastDisturbing] = self::best(array_slice($days, $earliest));
        $runOuts = array_filter(array_map(static fn(PairCourse $course): ?int => $course->runOut, $courses), is_int(...));

        return new self(
            days: $days,
            courses: $courses,
            earliest: min($count, $earliest),
            runOut: $runOuts === [] ? null : min($runOuts),
            leastCost: $leastCost?->day,
            leastDisturbing: $leastDisturbing?->day,
            prescribed: $levers->prescribed,
            waitsFor: $earliest === 0 ? [] : array_map(strval(...), array_keys($waits, $earliest, true)),
        );
    }

    /** Why the prescribed day cannot be kept; null when it can, or none is prescribed. */
    public function againstPrescribed(): ?string
    {
        return match (true) {
            $this->prescribed === null => null,
            $this->prescribed < 0 => 'It has passed.',
            $this->prescribed >= count($this->days) => 'It is beyond the time that is looked at.',
            $this->prescribed < $this->earliest => 'It is before the earliest possible day.',
            default => null,
        };
    }

    /**
     * @param  list<OpenOrder>  $orders
     * @return list<int> how many are under way on each day
     */
    private static function straddling(array $orders, int $count): array
    {
        $changes = array_fill(0, $count + 1, 0);
        foreach ($orders as $order) {
            $from = max(0, $order->first + 1);
            $to = min($count, $order->done);
            if ($from < $to) {
                $changes[$from]++;
                $changes[$to]--;
            }
        }
        $under = [];
        $now = 0;
        for ($day = 0; $day < $count; $day++) {
            $under[] = $now += $changes[$day];
        }

        return $under;
    }

    /**
     * @param  list<CutInDay>  $days
     * @return array{?CutInDay, ?CutInDay} the first of those that cost least, and of those that disturb least
     */
    private static function best(array $days): array
    {
        if ($days === []) {
            return [null, null];
        }
        $cheapest = $calmest = $days[0];
        foreach ($days as $day) {
            $total = $day->total->tenThousandths;
            if ($total < $cheapest->total->tenThousandths) {
                $cheapest = $day;
            }
            if (
                $day->disturbed < $calmest->disturbed ||
                ($day->disturbed === $calmest->disturbed && $total < $calmest->total->tenThousandths)
            ) {
                $calmest = $day;
            }
        }

        return [$cheapest, $calmest];
    }
}
