<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;

/**
 * Whether there is enough of a new part from the first day on, until more of it can come: what is needed of it in the place of the old one,
 * beside what is wanted of it already, against what is in stock and on order. Short is the most that is lacking on any of these days.
 *
 * Example: 30 in stock, nothing on order, nobody else wants any. From day 10 on five a day are needed, and what is ordered today comes on
 * day 28. Ninety are needed until then; the thirty last until day 15; on day 16 the first are lacking, on day 27 sixty.
 */
final readonly class Shortage
{
    /**
     * @param  int  $needed  millionths in the place of the old part, from the first day until more can come
     * @param  int  $short  millionths; 0: there is enough
     * @param  ?int  $from  the first day on which some are lacking
     */
    private function __construct(public int $needed, public int $short, public ?int $from) {}

    /**
     * @param  list<int>  $needed  millionths by day from today, in the place of the old part, whatever the first day is
     * @param  list<int>  $elsewhere  millionths by day, wanted of it already
     * @param  int  $onHand  millionths in stock
     * @param  list<array{int, int}>  $receipts  day and millionths of what is on order; what is late is expected today
     * @param  int  $first  the first day on which it takes the place of the old part
     * @param  int  $more  the day on which what is ordered today can be there
     *
     * @throws \OverflowException when a sum is too large to be kept exactly
     */
    public static function of(array $needed, array $elsewhere, int $onHand, array $receipts, int $first, int $more): self
    {
        $coming = [];
        foreach ($receipts as [$day, $quantity]) {
            $coming[max(0, $day)] = FixedPoint::add($coming[max(0, $day)] ?? 0, $quantity);
        }
        $there = $onHand;
        $all = $short = 0;
        $from = null;
        for ($day = 0; $day < $more; $day++) {
            $instead = $day < $first ? 0 : $needed[$day] ?? 0;
            $all = FixedPoint::add($all, $instead);
            $there = FixedPoint::sum($there, $coming[$day] ?? 0, -$instead, -($elsewhere[$day] ?? 0));
            // What others lack already is nothing that this change does.
            if ($there < 0 && $instead > 0) {
                $from ??= $day;
            }
            if ($from !== null && -$there > $short) {
                $short = -$there;
            }
        }

        return new self($all, min($short, $all), $from);
    }
}
