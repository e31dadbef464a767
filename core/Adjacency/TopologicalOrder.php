<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Adjacency;

/** Puts what hangs on some items in an order in which everything comes after all it is reached through. */
final readonly class TopologicalOrder
{
    /**
     * @param  list<int>  $starts
     * @return list<int> positions
     *
     * @throws Loop when something contains itself
     */
    public static function below(Adjacency $adjacency, array $starts, int $day): array
    {
        return self::from($starts, $day, $adjacency->downOf(...));
    }

    /**
     * @param  list<int>  $starts
     * @return list<int>
     *
     * @throws Loop when something contains itself
     */
    public static function above(Adjacency $adjacency, array $starts, int $day): array
    {
        return self::from($starts, $day, $adjacency->upOf(...));
    }

    /**
     * @param  list<int>  $starts
     * @param  \Closure(int): list<int>  $listOf
     * @return list<int>
     */
    private static function from(array $starts, int $day, \Closure $listOf): array
    {
        $finished = [];
        $state = []; // 1: on the way to it, 2: done
        foreach ($starts as $start) {
            if (!isset($state[$start])) {
                self::visit($start, $day, $listOf, $state, $finished);
            }
        }

        return array_reverse($finished);
    }

    /**
     * @param  \Closure(int): list<int>  $listOf
     * @param  array<int, int>  $state
     * @param  list<int>  $finished
     */
    private static function visit(int $start, int $day, \Closure $listOf, array &$state, array &$finished): void
    {
        $state[$start] = 1;
        $way = [$start];
        $lists = [$listOf($start)];
        $at = [2];
        for ($depth = 0; $depth >= 0; ) {
            $list = $lists[$depth];
            $next = $at[$depth];
            if (!isset($list[$next])) {
                $state[$way[$depth]] = 2;
                $finished[] = $way[$depth];
                unset($way[$depth], $lists[$depth], $at[$depth]);
                $depth--;

                continue;
            }
            $at[$depth] = $next + 3;
            if (!Span::holdsOn($list[$next + 2], $day)) {
                continue;
            }
            $to = $list[$next];
            $seen = $state[$to] ?? 0;
            if ($seen === 1) {
                throw new Loop([...array_slice($way, (int) array_search($to, $way, true)), $to]);
            }
            if ($seen === 0) {
                $state[$to] = 1;
                $depth++;
                $way[$depth] = $to;
                $lists[$depth] = $listOf($to);
                $at[$depth] = 2;
            }
        }
    }
}
