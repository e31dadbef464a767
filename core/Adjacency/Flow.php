<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Adjacency;

use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Quantity;

/**
 * How much flows from one item to all that hangs on it, downward or upward, on a day. Every item is visited once, after
 * everything it is reached through: the work is linear in lines, however much is shared.
 *
 * This is the innermost loop of the product, hence its plain shape: integers in arrays, nothing called for a line.
 */
final class Flow
{
    /** So many items are walked one by one before it is quicker to walk all. */
    private const FEW = 400;

    /** @var array<int, int> by position: millionths in one of the start (downward), of the start in one (upward), or what flows there */
    public array $totals = [];

    /** @var array<int, int> by position: the shortest way; the start is 1, what is not reached 0; not where chains were asked for */
    public array $levels = [];

    /** @var array<int, int> by position: what of the total came over phantom lines */
    public array $phantom = [];

    /** How many lines were walked. */
    public int $lines = 0;

    /** @var array<int, int> by position: days of the longest chain from the start to before it, where asked for; -1: not reached */
    public array $longest = [];

    /** @var array<int, int> by position: what it is reached from by that chain; -1 of the start */
    public array $from = [];

    /** @var array<int, bool> by position: whether something is in it */
    public array $made = [];

    /**
     * @param  int  $start  the first of them
     * @param  non-empty-array<int, int>  $starts  what flows from each, by position
     * @param  ?array<int, ?int>  $leads  days by position; null: no chains are asked for
     */
    private function __construct(
        public readonly int $start,
        private readonly array $starts,
        private readonly int $day,
        private readonly ?array $leads = null,
    ) {}

    /**
     * @param  ?array<int, ?int>  $leads  days by position, for the longest chain to each; null: none is asked for
     *
     * @throws Loop when something contains itself
     */
    public static function down(Adjacency $adjacency, int $start, int $day, ?array $leads = null): self
    {
        return self::along($adjacency, [$start => Quantity::ONE], $day, true, $leads);
    }

    /** @throws Loop when something contains itself */
    public static function up(Adjacency $adjacency, int $start, int $day): self
    {
        return self::along($adjacency, [$start => Quantity::ONE], $day, false);
    }

    /**
     * From several at once: what meets is added.
     *
     * @param  non-empty-array<int, int>  $starts  how much flows from each, by position
     *
     * @throws Loop when something contains itself
     */
    public static function upFrom(Adjacency $adjacency, array $starts, int $day): self
    {
        return self::along($adjacency, $starts, $day, false);
    }

    /**
     * @param  non-empty-array<int, int>  $starts
     * @param  ?array<int, ?int>  $leads
     */
    private static function along(Adjacency $adjacency, array $starts, int $day, bool $down, ?array $leads = null): self
    {
        $start = array_key_first($starts);
        $flow = new self($start, $starts, $day, $leads);
        $flow->longest = [$start => 0];
        $flow->from = [$start => -1];
        $flow->made = [$start => false];
        $flow->totals = $starts;
        $flow->levels = array_fill_keys(array_keys($starts), 1);
        if (!$adjacency->ordered) {
            $flow->totals += array_fill(0, $adjacency->size, 0);
            $flow->levels += array_fill(0, $adjacency->size, 0);
            $flow->longest += array_fill(0, $adjacency->size, -1);
            $flow->from += $flow->longest;
            $flow->made += array_fill(0, $adjacency->size, false);
            $all = array_keys($starts);
            foreach (
                $down ? TopologicalOrder::below($adjacency, $all, $day) : TopologicalOrder::above($adjacency, $all, $day)
                as $position
            ) {
                $flow->walk([$position => $down ? $adjacency->downOf($position) : $adjacency->upOf($position)]);
            }

            return $flow;
        }
        if (!$flow->few($adjacency, $down)) {
            $flow->many($adjacency, $down);
        }

        return $flow;
    }

    /**
     * Where little hangs on the start: item by item, the next by position first.
     *
     * @return bool whether it was little; if not, it has to be walked anew
     */
    private function few(Adjacency $adjacency, bool $down): bool
    {
        $waiting = new \SplMaxHeap();
        foreach (array_keys($this->starts) as $start) {
            $waiting->insert($down ? -$start : $start);
        }
        $waitingFor = count($this->starts);
        while (!$waiting->isEmpty()) {
            /** @var int $top */
            $top = $waiting->extract();
            $position = $down ? -$top : $top;
            $list = $down ? $adjacency->downOf($position) : $adjacency->upOf($position);
            for ($i = 2, $n = count($list); $i < $n; $i += 3) {
                if (!isset($this->totals[$list[$i]]) && Span::holdsOn($list[$i + 2], $this->day)) {
                    $this->totals[$list[$i]] = $this->levels[$list[$i]] = 0;
                    $this->longest[$list[$i]] = $this->from[$list[$i]] = -1;
                    $this->made[$list[$i]] = false;
                    $waiting->insert($down ? -$list[$i] : $list[$i]);
                    if (++$waitingFor > self::FEW) {
                        return false;
                    }
                }
            }
            $this->walk([$position => $list]);
        }

        return true;
    }

    /** Where much hangs on it: block by block, over arrays that have a place for every position. */
    private function many(Adjacency $adjacency, bool $down): void
    {
        $this->lines = 0;
        $this->phantom = [];
        $first = max(array_keys($this->starts)) >> Adjacency::BLOCK;
        $size = $down ? $adjacency->size : ($first + 1) << Adjacency::BLOCK;
        $this->totals = $this->levels = array_fill(0, $size, 0);
        $this->totals = array_replace($this->totals, $this->starts);
        $this->levels = array_replace($this->levels, array_fill_keys(array_keys($this->starts), 1));
        $this->longest = $this->from = $this->leads === null ? [] : array_fill(0, $size, -1);
        $this->made = $this->leads === null ? [] : array_fill(0, $size, false);
        $this->longest[$this->start] = 0;
        if ($down) {
            for ($block = $this->start >> Adjacency::BLOCK, $last = $adjacency->blocks(); $block < $last; $block++) {
                $this->walk($adjacency->down($block));
            }

            return;
        }
        if (count($this->starts) > 1) {
            for ($block = $first; $block >= 0; $block--) {
                $this->walk(array_reverse($adjacency->up($block), true));
            }

            return;
        }
        $list = $adjacency->upOf($this->start);
        $this->walk([$this->start => $list]);
        // All that is above stands before: nothing after the last direct parent is looked at.
        $highest = -1;
        for ($i = 2, $n = count($list); $i < $n; $i += 3) {
            $highest = max($highest, $list[$i]);
        }
        for ($block = $highest >> Adjacency::BLOCK; $block >= 0; $block--) {
            $lists = $adjacency->up($block);
            if ($block === $first) {
                unset($lists[$this->start]);
            }
            $this->walk(array_reverse($lists, true));
        }
    }

    /**
     * The total at a position, checked to be exact: a sum that does not fit has become a float on the way.
     *
     * @throws \OverflowException
     */
    public function total(int $position): int
    {
        $total = $this->totals[$position];

        // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
        return is_int($total) ? $total : throw self::tooLarge();
    }

    public static function tooLarge(): \OverflowException
    {
        return new \OverflowException('A quantity in this structure becomes too large to be kept exactly.');
    }

    /** @param  iterable<int, list<int>>  $lists by position */
    private function walk(iterable $lists): void
    {
        if ($this->leads !== null) {
            $this->walkInTime($lists);

            return;
        }
        $totals = &$this->totals;
        $levels = &$this->levels;
        $day = $this->day;
        foreach ($lists as $position => $list) {
            // What is reached is walked on from, however little of it there is.
            $total = $totals[$position];
            if ($levels[$position] === 0 || $list === []) {
                continue;
            }
            // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
            if (!is_int($total)) {
                throw self::tooLarge();
            }
            $level = $levels[$position] + 1;
            $whole = $total % Quantity::ONE === 0 ? intdiv($total, Quantity::ONE) : 0;
            $count = count($list);
            if ($whole !== 0 && $list[0] <= $day && $day < $list[1]) {
                for ($i = 2; $i < $count; $i += 3) {
                    $to = $list[$i];
                    $totals[$to] += $whole * $list[$i + 1];
                    if (($was = $levels[$to]) === 0 || $was > $level) {
                        $levels[$to] = $level;
                    }
                }
                $this->lines += intdiv($count - 2, 3);

                continue;
            }
            for ($i = 2; $i < $count; $i += 3) {
                $span = $list[$i + 2];
                if (!Span::holdsOn($span, $day)) {
                    continue;
                }
                $to = $list[$i];
                $share = $whole !== 0 ? $whole * $list[$i + 1] : FixedPoint::scale($total, $list[$i + 1], Quantity::ONE);
                $totals[$to] += $share;
                if (($was = $levels[$to]) === 0 || $was > $level) {
                    $levels[$to] = $level;
                }
                if (($span & Span::PHANTOM) !== 0) {
                    $this->phantom[$to] = ($this->phantom[$to] ?? 0) + $share;
                }
                $this->lines++;
            }
        }
    }

    /**
     * The same with the longest chains in place of levels: in a loop of its own, as nothing is asked for a line in vain.
     *
     * @param  iterable<int, list<int>>  $lists by position
     */
    private function walkInTime(iterable $lists): void
    {
        $totals = &$this->totals;
        $longest = &$this->longest;
        $from = &$this->from;
        $made = &$this->made;
        $leads = $this->leads;
        $day = $this->day;
        foreach ($lists as $position => $list) {
            $total = $totals[$position];
            $count = count($list);
            if ($longest[$position] < 0 || $count < 3) {
                continue;
            }
            // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
            if (!is_int($total)) {
                throw self::tooLarge();
            }
            $days = $longest[$position] + ($leads[$position] ?? 0);
            $whole = $total % Quantity::ONE === 0 ? intdiv($total, Quantity::ONE) : 0;
            if ($whole > 0 && $list[0] <= $day && $day < $list[1]) {
                for ($i = 2; $i < $count; $i += 3) {
                    $to = $list[$i];
                    $totals[$to] += $whole * $list[$i + 1];
                    if ($longest[$to] < $days) {
                        $longest[$to] = $days;
                        $from[$to] = $position;
                    }
                }
                $made[$position] = true;
                $this->lines += intdiv($count - 2, 3);

                continue;
            }
            for ($i = 2; $i < $count; $i += 3) {
                $span = $list[$i + 2];
                if (!Span::holdsOn($span, $day)) {
                    continue;
                }
                $to = $list[$i];
                $share = $whole > 0 ? $whole * $list[$i + 1] : FixedPoint::scale($total, $list[$i + 1], Quantity::ONE);
                $totals[$to] += $share;
                if ($longest[$to] < $days) {
                    $longest[$to] = $days;
                    $from[$to] = $position;
                }
                if (($span & Span::PHANTOM) !== 0) {
                    $this->phantom[$to] = ($this->phantom[$to] ?? 0) + $share;
                }
                $made[$position] = true;
                $this->lines++;
            }
        }
    }
}
