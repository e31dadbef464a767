<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Adjacency;

/** Looks for anything that contains itself, in lines that are not in any index yet. */
final readonly class LoopSearch
{
    /**
     * @param  array<int, list<int>>  $components  item => what it is made of
     * @return list<int>|null one round from an item to itself; null when there is none
     */
    public static function in(array $components): ?array
    {
        $state = []; // 1: on the way to it, 2: done
        foreach (array_keys($components) as $start) {
            if (isset($state[$start])) {
                continue;
            }
            $way = [$start];
            $at = [0];
            $state[$start] = 1;
            for ($depth = 0; $depth >= 0; ) {
                $item = $way[$depth];
                $next = $components[$item][$at[$depth]++] ?? null;
                if ($next === null) {
                    $state[$item] = 2;
                    array_pop($way);
                    array_pop($at);
                    $depth--;
                } elseif (($state[$next] ?? 0) === 1) {
                    return [...array_slice($way, (int) array_search($next, $way, true)), $next];
                } elseif (!isset($state[$next])) {
                    $state[$next] = 1;
                    $depth++;
                    $way[$depth] = $next;
                    $at[$depth] = 0;
                }
            }
        }

        return null;
    }
}
