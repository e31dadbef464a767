<?php

declare(strict_types=1);

namespace App\CutIn;

use Orthotaxis\Core\Adjacency\Neighbours;
use Orthotaxis\Core\Adjacency\Span;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\CutIn\Above;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Quantity;

/**
 * What a parent takes of each part from the cut-in on, as one plant builds it. The first of what goes is the measure of what comes: so many
 * for one of it. Where a plant has it not in the parent itself but in something below that only the plant has, such as a kit, it is
 * swapped there.
 */
final readonly class SwapUses
{
    public function __construct(private Neighbours $web, private Day $today, private int $days) {}

    /**
     * @param  list<AskedSwap>  $swaps
     * @return array<int, array<int, int>> part => parent => millionths, by ids
     */
    public function of(array $swaps): array
    {
        $uses = [];
        foreach ($swaps as $swap) {
            foreach ($this->parents($swap) as $parent) {
                $measure = $swap->gone === [] ? Quantity::ONE : $this->amount($parent, $swap->gone[0]);
                foreach ($swap->gone as $part) {
                    $uses[$part][$parent] ??= 0;
                }
                foreach ($swap->come as $part => $ratio) {
                    $uses[$part][$parent] = FixedPoint::add($uses[$part][$parent] ?? 0, FixedPoint::scale($measure, $ratio, Quantity::ONE));
                }
            }
        }

        return $uses;
    }

    /** @return list<int> */
    private function parents(AskedSwap $swap): array
    {
        if ($swap->gone === []) {
            return $swap->parents ?? [];
        }
        $all = [];
        foreach ($swap->gone as $part) {
            $all += array_fill_keys($this->targets($this->web->upOf($part)), true);
        }
        if ($swap->parents === null) {
            return array_keys($all);
        }
        $found = [];
        $above = null;
        foreach ($swap->parents as $parent) {
            if (isset($all[$parent])) {
                $found[$parent] = true;

                continue;
            }
            $above ??= Above::of([$this->web], $swap->gone, $this->today->number(), $this->days);
            $found += array_fill_keys($this->below($parent, $all, $above), true);
        }

        return array_keys($found);
    }

    /**
     * @param  array<int, true>  $users  of what goes
     * @return list<int> those that are below a parent
     */
    private function below(int $parent, array $users, Above $above): array
    {
        $seen = [$parent => true];
        $found = [];
        for ($queue = [$parent], $i = 0; $i < count($queue); $i++) {
            foreach ($above->has($queue[$i]) ? $this->targets($this->web->downOf($queue[$i])) : [] as $to) {
                if (isset($seen[$to]) || !$above->has($to)) {
                    continue;
                }
                $seen[$to] = true;
                if (isset($users[$to])) {
                    $found[] = $to;
                } else {
                    $queue[] = $to;
                }
            }
        }

        return $found;
    }

    /** How much of a part a parent takes now; where its lines begin later, then. */
    private function amount(int $parent, int $part): int
    {
        $list = $this->web->downOf($parent);
        $now = $later = 0;
        for ($at = 2, $n = count($list); $at < $n; $at += 3) {
            if ($list[$at] === $part && ($list[$at + 2] & Span::PHANTOM) === 0) {
                $later = FixedPoint::add($later, $list[$at + 1]);
                $now = Span::holdsOn($list[$at + 2], $this->today->number()) ? FixedPoint::add($now, $list[$at + 1]) : $now;
            }
        }

        return $now === 0 ? $later : $now;
    }

    /**
     * @param  list<int>  $list
     * @return list<int>
     */
    private function targets(array $list): array
    {
        $targets = [];
        for ($at = 2, $n = count($list); $at < $n; $at += 3) {
            $targets[$list[$at]] = $list[$at];
        }

        return array_values($targets);
    }
}
