<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Adjacency;

/**
 * Who is made of what, and who is used in what, as lists of integers: the ground on which structures of any size are
 * walked. Items stand at positions; in a well ordered adjacency every item stands before all it is made of.
 *
 * What changed since the lists were written lies over them, item by item.
 */
final readonly class Adjacency implements Neighbours
{
    /** A block is 2^12 positions. */
    public const BLOCK = 12;

    /** @var array<int, array<int, list<int>>> block => position => list */
    private array $newDown;

    /** @var array<int, array<int, list<int>>> */
    private array $newUp;

    public bool $ordered;

    /**
     * @param  int  $size  positions are below it, those of new items included
     * @param  array<int, list<int>>  $down  lists that have changed, by position; an empty list for an item that has no lines any more
     * @param  array<int, list<int>>  $up
     */
    public function __construct(public int $size, private Lists $lists, array $down = [], array $up = [], bool $ordered = true)
    {
        foreach ($down as $position => $list) {
            for ($i = 2; $i < count($list); $i += 3) {
                $ordered = $ordered && $list[$i] > $position;
            }
        }
        $this->ordered = $ordered;
        $this->newDown = self::inBlocks($down);
        $this->newUp = self::inBlocks($up);
    }

    /** @return array<int, list<int>> by position, ascending */
    public function down(int $block): array
    {
        return self::laidOver($this->lists->down($block), $this->newDown[$block] ?? null);
    }

    /** @return array<int, list<int>> by position, ascending */
    public function up(int $block): array
    {
        return self::laidOver($this->lists->up($block), $this->newUp[$block] ?? null);
    }

    /** @return list<int> */
    public function downOf(int $position): array
    {
        $block = $position >> self::BLOCK;

        return $this->newDown[$block][$position] ?? ($this->lists->down($block)[$position] ?? []);
    }

    /** @return list<int> */
    public function upOf(int $position): array
    {
        $block = $position >> self::BLOCK;

        return $this->newUp[$block][$position] ?? ($this->lists->up($block)[$position] ?? []);
    }

    /**
     * The same, with what uses some other positions said to use this one too: they stand for the same thing.
     *
     * @param  list<int>  $others
     */
    public function withUsersOf(int $position, array $others): self
    {
        $lines = [];
        foreach ([$position, ...$others] as $one) {
            array_push($lines, ...FlatList::lines($this->upOf($one)));
        }
        $up = array_replace(...[[], ...array_values($this->newUp)]);
        $down = array_replace(...[[], ...array_values($this->newDown)]);

        // The others may stand behind it, so nothing is known of the order.
        return new self($this->size, $this->lists, $down, [$position => FlatList::of($lines)] + $up, false);
    }

    public function blocks(): int
    {
        return ($this->size + (1 << self::BLOCK) - 1) >> self::BLOCK;
    }

    /**
     * @param  array<int, list<int>>  $lists
     * @return array<int, array<int, list<int>>>
     */
    private static function inBlocks(array $lists): array
    {
        $blocks = [];
        foreach ($lists as $position => $list) {
            $blocks[$position >> self::BLOCK][$position] = $list;
        }

        return $blocks;
    }

    /**
     * @param  array<int, list<int>>  $lists
     * @param  array<int, list<int>>|null  $over
     * @return array<int, list<int>>
     */
    private static function laidOver(array $lists, ?array $over): array
    {
        if ($over === null) {
            return $lists;
        }
        $both = array_replace($lists, $over);
        ksort($both);

        return $both;
    }
}
