<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Structure;

use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Refusal;

/**
 * All that is above one item, level by level, with how much of it goes into one of each.
 *
 * Every parent is visited once, after all it is reached through: the work is linear in usages, however much is shared.
 */
final readonly class WhereUsed
{
    /**
     * @param  array<int, UsedIn>  $parents  by item, nearest first
     */
    private function __construct(public int $item, public array $parents) {}

    /**
     * @param  iterable<Usage>  $usages  at least every usage on a way upward from the item
     *
     * @throws Refusal when the item is above itself
     */
    public static function of(int $item, iterable $usages): self
    {
        $upward = [];
        foreach ($usages as $usage) {
            $upward[$usage->component][] = $usage;
        }

        $total = [$item => Quantity::one()];
        $level = [$item => 0];
        $direct = [];
        foreach (self::componentsFirst($item, $upward) as $component) {
            foreach ($upward[$component] ?? [] as $usage) {
                $share = $total[$component]->times($usage->quantity);
                $total[$usage->parent] = isset($total[$usage->parent]) ? $total[$usage->parent]->plus($share) : $share;
                $level[$usage->parent] = min($level[$usage->parent] ?? PHP_INT_MAX, $level[$component] + 1);
                $direct[$usage->parent][$component] = isset($direct[$usage->parent][$component])
                    ? $direct[$usage->parent][$component]->plus($usage->quantity)
                    : $usage->quantity;
            }
        }

        unset($total[$item]);
        $parents = [];
        foreach ($total as $parent => $quantity) {
            $parents[$parent] = new UsedIn($parent, $level[$parent], $quantity, $direct[$parent] ?? [], ! isset($upward[$parent]));
        }
        uasort($parents, static fn (UsedIn $a, UsedIn $b): int => [$a->level, $a->parent] <=> [$b->level, $b->parent]);

        return new self($item, $parents);
    }

    /**
     * @param  array<int, list<Usage>>  $upward
     * @return list<int> the item and all above it, each after every component it is reached through
     */
    private static function componentsFirst(int $item, array $upward): array
    {
        $order = [];
        $state = []; // 1: on the way down to it, 2: done
        $stack = [[$item, 0]];
        while ($stack !== []) {
            [$node, $next] = array_pop($stack);
            $state[$node] = 1;
            $usage = $upward[$node][$next] ?? null;
            if ($usage === null) {
                $state[$node] = 2;
                $order[] = $node;

                continue;
            }
            $stack[] = [$node, $next + 1];
            $seen = $state[$usage->parent] ?? 0;
            if ($seen === 1) {
                throw Refusal::at('structure', "Item {$usage->parent} is contained in itself.");
            }
            if ($seen === 0) {
                $stack[] = [$usage->parent, 0];
            }
        }

        return array_reverse($order);
    }
}
