<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;

use function count;
use function is_int;

/** How the stock of one part goes on from a cut-in on, whatever day that is. All lists are by day from today, in millionths. */
final readonly class AfterCutIn
{
    /** What is short from a cut-in on that is late enough for new orders. */
    public const NOTHING = [0, 0, false, 0];

    private int $days;

    /** The day from which on new orders are there in time. */
    public int $until;

    /** Whether the change wants more of the part than was wanted before. */
    private bool $wantsMore;

    /** @var list<int> from the cut-in on, by others included */
    private array $wanted;

    /** @var list<int> what that is more than was wanted before: nobody orders it until the change is released */
    private array $extra;

    /** @param  array<int, int>  $coming  receipts, by day that has any */
    public function __construct(private Part $part, private Arrivals $arrivals, private array $coming)
    {
        $this->wanted = $part->demand->after;
        $this->extra = $part->demand->extra;
        $this->days = count($this->wanted);
        $this->until = min($this->days, max($arrivals->normal, $arrivals->released));
        $this->wantsMore = array_filter($this->extra) !== [];
    }

    /**
     * What is short until new orders can be there. Gone through for every day, so with plain integers, which are looked at once in the
     * end: what overflows becomes a float, and stays one.
     *
     * @param  int  $free  what may be used in the morning of the cut-in
     * @param  int  $hurriedBefore  what was hurried until then
     * @param  array<int, array{int, int}>|null  $told  where asked for: what is hurried and missing on single days is put there
     * @return array{int, int, bool, int} millionths that are hurried and missing; whether a part lacks that the change wants more of;
     *     millionths ordered before the release
     */
    public function short(int $cutIn, int $free, int $hurriedBefore, ?array &$told = null): array
    {
        [$normal, $ordered, $released] = [$this->arrivals->normal, $this->arrivals->more, $this->arrivals->released];
        $until = $this->until;
        if ($cutIn >= $until) {
            return self::NOTHING;
        }
        $hurried = $missing = $atRisk = 0;
        $lacks = false;
        for ($day = $cutIn; $day < $until; $day++) {
            $free += $this->coming[$day] ?? 0;
            $lacking = $this->wanted[$day] - ($free > 0 ? $free : 0);
            if ($lacking <= 0) {
                $free -= $this->wanted[$day];

                continue;
            }
            $free = $free < 0 ? $free : 0;
            $more = $lacking < $this->extra[$day] ? $lacking : $this->extra[$day];
            if ($day >= $normal) {
                // What others want, and what was wanted before, is reordered as ever.
                $lacking = $more;
            }
            if ($day >= $ordered) {
                $atRisk += $day < $released ? $more : 0;
                $lacking -= $more;
            }
            if ($lacking > 0) {
                $can = $this->arrivals->canHurry($this->part->expediting, $lacking, $day, $more > 0 ? 1 : 0, $hurriedBefore + $hurried);
                $hurried += $can;
                $missing += $lacking - $can;
                $lacks = $lacks || ($lacking > $can && $this->wantsMore);
                if ($told !== null) {
                    $told[$day] = [$can, $lacking - $can];
                }
            }
        }
        // @phpstan-ignore function.alreadyNarrowedType
        is_int($free + $hurried + $missing + $atRisk) ||
            throw new \OverflowException('A number becomes too large here to be kept exactly.');

        return [$hurried, $missing, $lacks, $atRisk];
    }

    /**
     * What has to be ordered in the normal way.
     *
     * @param  int  $free  what may be used in the morning of the cut-in
     * @param  int  $until  the day behind the last that is looked at
     * @return array<int, int> millionths by day on which they are wanted
     */
    public function orders(int $cutIn, int $free, int $until): array
    {
        $orders = [];
        for ($day = $cutIn, $end = min($until, $this->days); $day < $end; $day++) {
            $free = FixedPoint::add($free, $this->coming[$day] ?? 0);
            $lacking = FixedPoint::subtract($this->wanted[$day], max(0, $free));
            $free = min(0, $free) + max(0, -$lacking);
            // What is wanted before anything ordered can be there is short, and no order helps.
            if ($lacking > 0 && $this->isOrderedInTime($day)) {
                $orders[$day] = $this->part->lot->ordered($lacking);
                $free = FixedPoint::add($free, $this->part->lot->good($lacking) - $lacking);
            }
        }

        return $orders;
    }

    /**
     * @param  int  $free  what may be used in the morning of the cut-in
     * @param  int  $safety  to which it is filled up
     * @return list<int> the same each morning from then on, with new orders in their normal time
     */
    public function mornings(int $cutIn, int $free, int $safety): array
    {
        $mornings = [];
        for ($day = $cutIn; $day < $this->days; $day++) {
            $mornings[] = $free;
            $there = FixedPoint::add($free, $this->coming[$day] ?? 0);
            // What lacks is had from elsewhere.
            $evening = max(min(0, $there), FixedPoint::subtract($there, $this->wanted[$day]));
            $free = max($evening, $this->isOrderedInTime($day) ? $safety : 0);
        }

        return $mornings;
    }

    private function isOrderedInTime(int $day): bool
    {
        return $day >= ($this->extra[$day] > 0 ? $this->arrivals->more : $this->arrivals->normal);
    }
}
