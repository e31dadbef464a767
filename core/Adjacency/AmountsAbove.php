<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Adjacency;

use Orthotaxis\Core\Quantity\FixedPoint;

/**
 * What amounts at some items (money or minutes for one of each) come to in one of all that is above them, on a day. All of them rise
 * together, so that every line is looked at once, however many items change.
 *
 * Example: a clip becomes 0.10 dearer and a spring 0.20 cheaper; four clips and one spring go into a head, two heads into a pump: the head
 * costs 0.20 more, the pump 0.40.
 */
final readonly class AmountsAbove
{
    /** Amounts rise so many times finer than they are given, and are rounded once, at the end. */
    private const FINER = 10_000;

    /**
     * @param  array<int, int>  $amounts  by position, of the items themselves too, in the unit of what was given
     * @param  list<int>  $above  positions that have one of the items in them, be it too little to be kept
     */
    private function __construct(public array $amounts, public array $above) {}

    /**
     * @param  array<int, int>  $amounts  of one of each item, by position, in any unit
     * @param  array<int, list<int>>  $same  positions of single revisions, by position of their item: what uses these uses the item
     * @param  list<int>  $ifUsed  positions of single revisions: they count only on days on which something uses them
     *
     * @throws Loop when something contains itself
     * @throws \OverflowException when an amount becomes too large to be kept exactly
     */
    public static function of(Adjacency $adjacency, array $amounts, int $day, array $same = [], array $ifUsed = []): self
    {
        if ($amounts === []) {
            return new self([], []);
        }
        $starts = $stands = [];
        foreach ($amounts as $position => $amount) {
            foreach ([$position, ...$same[$position] ?? []] as $one) {
                $starts[$one] = FixedPoint::scale($amount, self::FINER, 1);
                $stands[$one] = $position;
            }
        }
        $flow = Flow::upFrom($adjacency, $starts, $day);
        $inUse = new InUse($adjacency, $day, $ifUsed);
        $rounded = $above = [];
        foreach ($flow->levels as $position => $level) {
            // A revision that stands for an item that changes is no row of its own.
            if ($level === 0 || ($stands[$position] ?? $position) !== $position) {
                continue;
            }
            $has = $level > 1 || self::isReached($adjacency, $flow, $position, $day);
            if ($has && !$inUse->counts($position)) {
                continue;
            }
            if ($has) {
                $above[] = $position;
            }
            $rounded[$position] = FixedPoint::scale($flow->total($position), 1, self::FINER);
        }

        return new self($rounded, $above);
    }

    /** Whether one of the items has another in it. */
    private static function isReached(Adjacency $adjacency, Flow $flow, int $position, int $day): bool
    {
        $list = $adjacency->downOf($position);
        for ($i = 2, $n = count($list); $i < $n; $i += 3) {
            if (($flow->levels[$list[$i]] ?? 0) > 0 && Span::holdsOn($list[$i + 2], $day)) {
                return true;
            }
        }

        return false;
    }
}
