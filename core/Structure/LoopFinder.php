<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Structure;

/** Finds the way from one item down to another: the loop that a new line would close. */
final readonly class LoopFinder
{
    /**
     * The loop that using $component in $parent would make, as item ids from the parent round to the parent again.
     *
     * @param  array<int, list<int>>  $components  item => items directly in it, for all that is below $component
     * @return list<int>|null null when there is none
     */
    public static function closedBy(int $parent, int $component, array $components): ?array
    {
        if ($parent === $component) {
            return [$parent, $component];
        }
        $cameFrom = [$component => $parent];
        $queue = new \SplQueue();
        $queue->enqueue($component);
        while (!$queue->isEmpty()) {
            /** @var int $item */
            $item = $queue->dequeue();
            foreach ($components[$item] ?? [] as $below) {
                if ($below === $parent) {
                    $way = [$parent];
                    for ($step = $item; $step !== $parent; $step = $cameFrom[$step]) {
                        array_unshift($way, $step);
                    }

                    return [$parent, ...$way];
                }
                if (!isset($cameFrom[$below])) {
                    $cameFrom[$below] = $item;
                    $queue->enqueue($below);
                }
            }
        }

        return null;
    }

    /**
     * All that is below an item, and the item itself.
     *
     * @param  array<int, list<int>>  $components  item => items directly in it
     * @return array<int, true>
     */
    public static function reachable(int $item, array $components): array
    {
        $found = [$item => true];
        $queue = [$item];
        for ($at = 0; $at < count($queue); $at++) {
            foreach ($components[$queue[$at]] ?? [] as $below) {
                if (!isset($found[$below])) {
                    $found[$below] = true;
                    $queue[] = $below;
                }
            }
        }

        return $found;
    }
}
