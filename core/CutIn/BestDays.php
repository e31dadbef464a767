<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use function count;

/**
 * The best of some days by each measure. Least cost: the least total, then the earlier day. Least disturbance: the fewest open documents to
 * be touched, then the least total, then the earlier day.
 */
final readonly class BestDays
{
    /** The one percent within which one day is as good as another. */
    private const AS_GOOD = 100;

    /**
     * @param  ?int  $earliest  null when no day is possible
     * @param  ?array{int, int}  $asSure  the first and the last day around the cheapest that cost hardly more
     */
    private function __construct(public ?int $earliest, public ?int $leastCost, public ?int $leastDisturbing, public ?array $asSure) {}

    /** @param  list<CutInDay>  $days  every day from today */
    public static function of(array $days): self
    {
        $possible = [];
        $least = $calmest = 0;
        $leastTotal = $calmestTotal = $disturbed = PHP_INT_MAX;
        foreach ($days as $day) {
            if (!$day->isPossible) {
                continue;
            }
            $total = $day->total->tenThousandths;
            if ($total < $leastTotal) {
                [$least, $leastTotal] = [count($possible), $total];
            }
            if ($day->disturbed < $disturbed || ($day->disturbed === $disturbed && $total < $calmestTotal)) {
                [$calmest, $calmestTotal, $disturbed] = [count($possible), $total, $day->disturbed];
            }
            $possible[] = $day;
        }
        if ($possible === []) {
            return new self(null, null, null, null);
        }
        $most = $leastTotal + intdiv(abs($leastTotal), self::AS_GOOD);
        $isAsGood = static fn(int $at): bool => isset($possible[$at]) && $possible[$at]->total->tenThousandths <= $most;
        for ($from = $least; $isAsGood($from - 1); $from--);
        for ($to = $least; $isAsGood($to + 1); $to++);

        return new self($possible[0]->day, $possible[$least]->day, $possible[$calmest]->day, [$possible[$from]->day, $possible[$to]->day]);
    }
}
