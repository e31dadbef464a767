<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Adjacency;

use Orthotaxis\Core\Quantity\Quantity;

/** All that is above one item on a day, nearest first, with how much of the item goes into one of each over all ways. */
final readonly class WhereUsed
{
    /**
     * @param  list<int>  $parents  positions, nearest first; the shortest way counts
     * @param  array<int, int>  $same  positions that stand for the item as well, and where it stands
     */
    private function __construct(
        private Adjacency $adjacency,
        private Flow $flow,
        private int $day,
        public array $parents,
        private array $same,
        private InUse $inUse,
    ) {}

    /**
     * @param  list<int>  $same  positions of single revisions of the item: what uses these uses the item
     * @param  list<int>  $ifUsed  positions of single revisions: they count only on days on which something uses them
     * @param  null|\Closure(list<int>): list<int>  $rank  a number for each position: those of one level stand in the order of these,
     *     whatever their positions
     *
     * @throws Loop when something contains itself
     */
    public static function of(Adjacency $adjacency, int $item, int $day, array $same = [], array $ifUsed = [], ?\Closure $rank = null): self
    {
        $adjacency = $same === [] ? $adjacency : $adjacency->withUsersOf($item, $same);
        $flow = Flow::up($adjacency, $item, $day);
        $byLevel = [];
        $inUse = new InUse($adjacency, $day, $ifUsed);
        $unused = [];
        foreach ($ifUsed as $position) {
            if (($flow->levels[$position] ?? 0) > 1 && !$inUse->counts($position)) {
                $unused[$position] = true;
            }
        }
        foreach ($flow->levels as $position => $level) {
            if ($level > 1 && !isset($unused[$position])) {
                $byLevel[$level][] = $position;
            }
        }
        ksort($byLevel);
        foreach ($byLevel as &$positions) {
            $ranks = $rank === null ? $positions : $rank($positions);
            array_multisort($ranks, $positions);
        }

        return new self(
            adjacency: $adjacency,
            flow: $flow,
            day: $day,
            parents: array_merge(...$byLevel),
            same: array_fill_keys($same, $item),
            inUse: $inUse,
        );
    }

    /** 1 for a direct parent. */
    public function level(int $parent): int
    {
        return $this->flow->levels[$parent] - 1;
    }

    /** How much of the item goes into one of the parent; zero where it is too little to be kept in millionths. */
    public function quantity(int $parent): Quantity
    {
        return Quantity::ofMillionths($this->flow->total($parent));
    }

    /** @return list<int> the parent's own components on the way, each once */
    public function through(int $parent): array
    {
        $through = [];
        $list = $this->adjacency->downOf($parent);
        for ($i = 2; $i < count($list); $i += 3) {
            $component = $this->same[$list[$i]] ?? $list[$i];
            if (($this->flow->levels[$component] ?? 0) > 0 && Span::holdsOn($list[$i + 2], $this->day)) {
                $through[$component] = true;
            }
        }

        return array_keys($through);
    }

    /** Whether nothing uses it on that day. */
    public function isTop(int $parent): bool
    {
        return !$this->inUse->isUsed($parent);
    }

    /** @return list<int> the parents that nothing uses, nearest first: what leaves the house */
    public function tops(): array
    {
        $tops = [];
        $lists = [];
        foreach ($this->parents as $parent) {
            $block = $parent >> Adjacency::BLOCK;
            $lists[$block] ??= $this->adjacency->up($block);
            if (!isset($lists[$block][$parent]) || $this->isTop($parent)) {
                $tops[] = $parent;
            }
        }

        return $tops;
    }
}
