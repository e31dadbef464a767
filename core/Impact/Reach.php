<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Impact;

use Orthotaxis\Core\Adjacency\Adjacency;
use Orthotaxis\Core\Adjacency\InUse;
use Orthotaxis\Core\Adjacency\Span;

/**
 * All that is above some items on a day, each with the shortest way to it. A walk level by level from all of them at once:
 * every line is looked at once, however much is shared; something that contains itself ends the walk like anything else.
 */
final readonly class Reach
{
    /**
     * @param  array<int, int>  $levels  by position, nearest first; 0 for what is affected itself
     * @param  array<int, int>  $via  by position: the next one on the way back to what is affected
     */
    private function __construct(
        private Adjacency $adjacency,
        private int $day,
        public array $levels,
        public array $via,
        private InUse $inUse,
    ) {}

    /**
     * @param  array<int, list<int>>  $affected  position => positions of single revisions of the same item: what uses these uses the item
     * @param  list<int>  $ifUsed  positions of single revisions: they count only on days on which something uses them
     * @param  null|\Closure(list<int>): list<int>  $rank  a number for each position: of two ways as short, the one over the lower is told
     */
    public static function of(Adjacency $adjacency, array $affected, int $day, array $ifUsed = [], ?\Closure $rank = null): self
    {
        $levels = array_fill_keys(array_keys($affected), 0);
        $via = [];
        $inUse = new InUse($adjacency, $day, $ifUsed);
        // What stands for an affected item is walked from, and never a row of its own.
        $stands = [];
        foreach ($affected as $position => $same) {
            foreach ($same as $one) {
                $stands[$one] = $position;
            }
        }
        $edge = [...array_keys($affected), ...array_keys($stands)];
        for ($level = 1; $edge !== []; $level++) {
            $next = [];
            foreach ($edge as $position) {
                $list = $adjacency->upOf($position);
                for ($i = 2, $n = count($list); $i < $n; $i += 3) {
                    $parent = $list[$i];
                    if (isset($levels[$parent]) || isset($stands[$parent]) || !Span::holdsOn($list[$i + 2], $day)) {
                        continue;
                    }
                    if (!$inUse->counts($parent)) {
                        continue;
                    }
                    $levels[$parent] = $level;
                    $via[$parent] = $stands[$position] ?? $position;
                    $next[] = $parent;
                }
            }
            if ($rank !== null) {
                $ranks = $rank($next);
                array_multisort($ranks, $next);
            }
            $edge = $next;
        }

        return new self($adjacency, $day, $levels, $via, $inUse);
    }

    /** @return list<int> positions from something affected up to this one */
    public function path(int $position): array
    {
        $path = [$position];
        while (isset($this->via[$path[0]])) {
            array_unshift($path, $this->via[$path[0]]);
        }

        return $path;
    }

    /** Whether nothing uses it on the day. */
    public function isTop(int $position): bool
    {
        return !$this->inUse->isUsed($position);
    }

    /** @return list<int> what uses it on the day, each once */
    public function users(int $position): array
    {
        return array_keys($this->ends($this->adjacency->upOf($position)));
    }

    /**
     * Products that are not reached, and that share at least half of their own components with one that is: whoever changes
     * one looks at the other.
     *
     * @param  list<int>  $products  positions of reached products
     * @param  array<int, mixed>  $sold  by position: all that is sold
     * @return array<int, int> sibling => the reached product that it shares most with
     */
    public function siblings(array $products, array $sold): array
    {
        // From the few that are not reached, not from all that uses a component: a screw is in everything.
        $having = $sizes = [];
        foreach (array_keys(array_diff_key($sold, $this->levels)) as $other) {
            $components = $this->components($other);
            $sizes[$other] = count($components);
            foreach (array_keys($components) as $component) {
                $having[$component][] = $other;
            }
        }
        if ($having === []) {
            return [];
        }
        $most = $found = [];
        foreach ($products as $product) {
            $shared = [];
            foreach (array_keys(array_intersect_key($this->components($product), $having)) as $component) {
                foreach ($having[$component] as $other) {
                    $shared[$other] = ($shared[$other] ?? 0) + 1;
                }
            }
            foreach ($shared as $sibling => $count) {
                if ($count * 2 >= $sizes[$sibling] && $count > ($most[$sibling] ?? 0)) {
                    $most[$sibling] = $count;
                    $found[$sibling] = $product;
                }
            }
        }
        ksort($found);

        return $found;
    }

    /** @return array<int, true> */
    private function components(int $position): array
    {
        return $this->ends($this->adjacency->downOf($position));
    }

    /**
     * @param  list<int>  $list
     * @return array<int, true>
     */
    private function ends(array $list): array
    {
        $ends = [];
        for ($i = 2, $n = count($list); $i < $n; $i += 3) {
            if (Span::holdsOn($list[$i + 2], $this->day)) {
                $ends[$list[$i]] = true;
            }
        }

        return $ends;
    }
}
