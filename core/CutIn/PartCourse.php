<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;

use function count;

/**
 * How the stock of one part goes on, and what a cut-in on each day means for it: see docs/decisions/0030. All lists are by day from today,
 * in millionths. Until the cut-in the course is the same whatever the day is, so it is gone through once.
 */
final class PartCourse
{
    /** The first day on which stock and receipts do not cover what is wanted; null when they last. */
    public ?int $runOut = null;

    private readonly int $days;

    /** @var array<int, int> what had to be reordered until the cut-in, by day on which it is wanted */
    private array $reordered = [];

    /** Whether anybody wants the part after the cut-in. */
    public readonly bool $goesOn;

    private readonly AfterCutIn $after;

    /** @var array<int, int> what comes on a day */
    private array $coming = [];

    /**
     * @var list<int> what may be used in the morning of each day as long as the change is not in; less than nothing where less is there
     * than is kept
     */
    private array $free = [];

    /** @var list<int> the same in the evening */
    private array $evening = [];

    /** @var list<array{int, int}> how much was hurried, and missing, up to the morning */
    private array $short = [];

    /** @var array<int, array{int, int}> the same of single days that have any */
    private array $shortOn = [];

    /** @var array<int, array{int, int, bool, int}> what is short from a cut-in on, as far as it was asked for */
    private array $shortsFrom = [];

    private ?bool $lastsAnyway = null;

    private readonly Arrivals $arrivals;

    private readonly int $safety;

    /** @var list<int> receipts from the day on */
    private readonly array $stillComing;

    /** @var list<int> what nobody wants in the end, before anything is cancelled */
    private readonly array $left;

    /** @var list<int> what has to be added to the lowest evening after the day */
    private readonly array $level;

    private readonly Cancelling $cancelling;

    public function __construct(private readonly Part $part, Levers $levers, PlantDays $plant)
    {
        $demand = $part->demand;
        $this->days = count($demand->until);
        $this->goesOn = $demand->goesOn;
        $this->safety = $this->goesOn ? $part->safety : 0;
        foreach ($part->receipts as $receipt) {
            $day = min($this->days, max(0, $receipt->day));
            $this->coming[$day] = FixedPoint::add($this->coming[$day] ?? 0, $receipt->quantity);
        }
        $this->arrivals = Arrivals::of($part, $levers, $plant, $this->days);
        $this->after = new AfterCutIn($part, $this->arrivals, $this->coming);
        $this->shortsFrom = array_fill($this->after->until, $this->days - $this->after->until, AfterCutIn::NOTHING);
        $late = $levers->lateFromStock ? FixedPoint::add($demand->late['until'], $demand->late['others']) : 0;
        $this->goThrough(FixedPoint::sum($part->stock, -$part->keep, -$late));
        $this->stillComing = FromTheEnd::sums($this->coming, $this->days);
        [$this->left, $this->level] = $this->leftovers();
        $lowest = $this->goesOn ? FromTheEnd::least($demand->stillWanted, $this->stillComing) : [];
        $this->cancelling = new Cancelling($part, $levers->notCancelled, $this->evening, $lowest);
    }

    public function on(int $day): PartDay
    {
        return $this->over([$day])->on($day);
    }

    /** @param  list<int>  $days */
    public function over(array $days): PartDays
    {
        $lefts = $fees = $touched = $hurried = $missing = $isSustained = $risks = $recurring = [];
        $comesInTime = $this->arrivals->more < $this->days || $this->doesLastAnyway();
        // Read once: all of it is looked at on every day.
        [$left, $level, $short, $more] = [$this->left, $this->level, $this->short, $this->part->demand->stillMore];
        [$come, $isWorthIt, $goesOn] = [$this->cancelling->come, $this->cancelling->isWorthIt, $this->goesOn];
        foreach ($days as $day) {
            [$hurries, $misses, $lacks, $risks[$day]] = $this->shortsFrom[$day] ?? $this->shortFrom($day);
            $lefts[$day] = $left[$day];
            $fees[$day] = 0;
            $touched[$day] = $goesOn ? 0 : $come[$day];
            if ($isWorthIt && $left[$day] > 0) {
                [$cancelled, , $lefts[$day], $fees[$day], $comes] = $this->cancelling->on($day, $left[$day], $level[$day]);
                $touched[$day] = $cancelled + ($goesOn ? 0 : $comes);
            }
            $hurried[$day] = $short[$day][0] + $hurries;
            $missing[$day] = $short[$day][1] + $misses;
            $isSustained[$day] = !$lacks && $comesInTime;
            $recurring[$day] = $more[$day];
        }

        return new PartDays(
            left: $lefts,
            fees: $fees,
            touched: $touched,
            hurried: $hurried,
            missing: $missing,
            isSustained: $isSustained,
            atRisk: $risks,
            recurring: $recurring,
        );
    }

    /** @return list<Cancelled> the receipts that are cancelled with a cut-in on a day, the latest first */
    public function cancelled(int $day): array
    {
        [$cancelled, $last] = $this->cancelling->on($day, $this->left[$day], $this->level[$day]);

        return $this->cancelling->of($cancelled, $last);
    }

    /** @return array<int, array{int, int}> by day that has any: millionths hurried, and missing, with a cut-in on a day */
    public function shorts(int $cutIn): array
    {
        $told = array_filter($this->shortOn, static fn(int $day): bool => $day < $cutIn, ARRAY_FILTER_USE_KEY);
        $this->after->short($cutIn, $this->free[$cutIn], $this->short[$cutIn][0], $told);

        return $told ?? [];
    }

    /** The last day before a cut-in on which the part had to be reordered: all that was there until then was used. */
    public function lastOrder(int $cutIn): ?int
    {
        $days = array_filter(array_keys($this->reordered), static fn(int $day): bool => $day < $cutIn);

        return $days === [] ? null : max($days);
    }

    /** The first day on which nothing is missing from then on that the change wants more; the number of days when there is none. */
    public function sustainedFrom(): int
    {
        for ($day = 0; $day < $this->days; $day++) {
            if (!$this->shortFrom($day)[2]) {
                return $this->arrivals->more < $this->days || $this->doesLastAnyway() ? $day : $this->days;
            }
        }

        return $this->days;
    }

    /**
     * Whether it lasts as far as is looked at: where nothing new comes within that time, what is there at its end may be gone a day later.
     */
    private function doesLastAnyway(): bool
    {
        return $this->lastsAnyway ??= !$this->shortFrom(0)[2];
    }

    /**
     * What has to be ordered in the normal way with a cut-in on a day, by day on which it is wanted.
     *
     * @param  int  $until  the day behind the last that is looked at
     * @return array<int, int> millionths
     */
    public function orders(int $cutIn, int $until): array
    {
        return array_filter($this->reordered, static fn(int $day): bool => $day < $cutIn, ARRAY_FILTER_USE_KEY) +
            $this->after->orders($cutIn, $this->free[$cutIn], $until);
    }

    /** Whether anything hangs on a lead time that nobody knows. */
    public function needsLeadTime(): bool
    {
        return $this->part->leadDays === null && $this->part->isOrdered && ($this->runOut !== null || $this->sustainedFrom() > 0);
    }

    /** @return list<int> what is there each morning, with a cut-in on a day and new orders in their normal time */
    public function stock(int $cutIn): array
    {
        $mornings = [
            ...array_slice($this->free, 0, $cutIn),
            ...$cutIn < $this->days ? $this->after->mornings($cutIn, $this->free[$cutIn], $this->safety) : [],
        ];

        return array_map(fn(int $one): int => max(0, FixedPoint::add($one, $this->part->keep)), $mornings);
    }

    /** What is short until the change is in, and where reordering puts the stock. */
    private function goThrough(int $free): void
    {
        $plain = $free;
        $hurried = $missing = 0;
        $short = [0, 0];
        $mornings = $evenings = $shorts = [];
        foreach ($this->part->demand->before as $day => $wanted) {
            $mornings[] = $free;
            $shorts[] = $short;
            $comes = $this->coming[$day] ?? 0;
            $plain += $comes - $wanted;
            if ($plain < 0 && $wanted > 0) {
                $this->runOut ??= $day;
            }
            $free += $comes;
            $lacking = $wanted - ($free > 0 ? $free : 0) + $this->safety;
            if ($lacking > 0 && $day >= $this->arrivals->normal && ($wanted > 0 || $this->safety > 0)) {
                $free = FixedPoint::sum($free, $this->part->lot->good($lacking), -$wanted);
                $this->reordered[$day] = $this->part->lot->ordered($lacking);
            } elseif ($wanted > ($free > 0 ? $free : 0)) {
                $lacking = $wanted - max(0, $free);
                $can = $this->arrivals->canHurry($this->part->expediting, $lacking, $day, 0, $hurried);
                $this->shortOn[$day] = [$can, $lacking - $can];
                $hurried += $can;
                $missing += $lacking - $can;
                $short = [$hurried, $missing];
                $free = min(0, $free);
            } else {
                $free -= $wanted;
            }
            $evenings[] = $free;
        }
        $this->free = $mornings;
        $this->short = $shorts;
        $this->evening = $evenings;
        FixedPoint::check([$plain, $free, $hurried, $missing]);
    }

    /** @return array{int, int, bool, int} as AfterCutIn tells it */
    private function shortFrom(int $cutIn): array
    {
        return $this->shortsFrom[$cutIn] ??= $this->after->short($cutIn, $this->free[$cutIn], $this->short[$cutIn][0]);
    }

    /**
     * By day: what nobody wants of what is there and still comes, before anything is cancelled; and what has to be added to the lowest
     * evening from then on.
     *
     * @return array{list<int>, list<int>}
     */
    private function leftovers(): array
    {
        $goes = $this->part->demand->goes;
        $stillWanted = $this->part->demand->stillWanted;
        $left = $level = [];
        // Behind the time looked at a part goes on at its mean rate for as long again.
        $beyond = $this->goesOn ? $stillWanted[0] : 0;
        foreach ($this->free as $day => $free) {
            $level[] = $still = $free + $this->stillComing[$day] - $stillWanted[$day];
            // What is there of a part that only comes is there whatever is done.
            $left[] = $goes && $still > $beyond ? $still - $beyond : 0;
        }
        FixedPoint::check($level);

        return [$left, $level];
    }
}
