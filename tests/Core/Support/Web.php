<?php

declare(strict_types=1);

namespace Tests\Core\Support;

use Orthotaxis\Core\Adjacency\Adjacency;
use Orthotaxis\Core\Adjacency\FlatList;
use Orthotaxis\Core\Adjacency\Lists;
use Orthotaxis\Core\Adjacency\Span;
use Orthotaxis\Core\Quantity\Quantity;

/** A few lines in memory, written as people tell them: parent, component, quantity, first day, day it ends, phantom. */
final class Web implements Lists
{
    /** @var array<int, list<array{int, int, int}>> */
    private array $down = [];

    /** @var array<int, list<array{int, int, int}>> */
    private array $up = [];

    /** @var array<string, array<int, list<int>>> */
    private array $blocks = [];

    /** @param  list<array{0: int, 1: int, 2: int|string, 3?: ?int, 4?: ?int, 5?: bool}>  $lines */
    public function __construct(public readonly array $lines)
    {
        foreach ($lines as $line) {
            $quantity = Quantity::parse((string) $line[2])->millionths;
            $span = Span::of($line[3] ?? null, $line[4] ?? null, $line[5] ?? false);
            $this->down[$line[0]][] = [$line[1], $quantity, $span];
            $this->up[$line[1]][] = [$line[0], $quantity, $span];
        }
    }

    /** @param  list<array{0: int, 1: int, 2: int|string, 3?: ?int, 4?: ?int, 5?: bool}>  $lines */
    public static function of(array $lines): Adjacency
    {
        $size = 1;
        $ordered = true;
        foreach ($lines as [$parent, $component]) {
            $size = max($size, $parent + 1, $component + 1);
            $ordered = $ordered && $parent < $component;
        }

        return new Adjacency($size, new self($lines), ordered: $ordered);
    }

    public function down(int $block): array
    {
        return $this->blocks["down {$block}"] ??= self::block($this->down, $block);
    }

    public function up(int $block): array
    {
        return $this->blocks["up {$block}"] ??= self::block($this->up, $block);
    }

    /**
     * @param  array<int, list<array{int, int, int}>>  $lists
     * @return array<int, list<int>>
     */
    private static function block(array $lists, int $block): array
    {
        ksort($lists);

        return array_map(
            FlatList::of(...),
            array_filter($lists, static fn(int $at): bool => $at >> Adjacency::BLOCK === $block, ARRAY_FILTER_USE_KEY),
        );
    }
}
