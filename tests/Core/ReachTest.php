<?php

declare(strict_types=1);

use Orthotaxis\Core\Adjacency\WhereUsed;
use Orthotaxis\Core\Impact\Reach;
use Tests\Core\Support\Make;
use Tests\Core\Support\Web;

it('reaches all that is above what is affected, each by the shortest way', function (): void {
    // 1 and 2 are sold; 3 is in both, 4 in 3, and 4 straight in 2.
    $web = Web::of([[1, 3, 1], [2, 3, 1], [3, 4, 2], [2, 4, 1], [5, 6, 1]]);
    $reach = Reach::of($web, [4 => []], 100);
    expect($reach->levels)
        ->toEqual([4 => 0, 2 => 1, 3 => 1, 1 => 2])
        ->and($reach->path(1))
        ->toBe([4, 3, 1])
        ->and($reach->path(2))
        ->toBe([4, 2])
        ->and($reach->path(4))
        ->toBe([4])
        ->and($reach->isTop(1))
        ->toBeTrue()
        ->and($reach->isTop(3))
        ->toBeFalse();
});

it('is bounded by the day', function (): void {
    $web = Web::of([[1, 2, 1, 50, 60], [2, 3, 1, null, 55]]);
    expect(array_keys(Reach::of($web, [3 => []], 54)->levels))
        ->toBe([3, 2, 1])
        ->and(array_keys(Reach::of($web, [3 => []], 55)->levels))
        ->toBe([3])
        ->and(array_keys(Reach::of($web, [3 => []], 49)->levels))
        ->toBe([3, 2])
        ->and(array_keys(Reach::of($web, [2 => []], 60)->levels))
        ->toBe([2]);
});

it('ends where something contains itself', function (): void {
    $reach = Reach::of(Web::of([[1, 2, 1], [2, 1, 1], [2, 3, 1]]), [3 => []], 100);
    expect($reach->levels)->toBe([3 => 0, 2 => 1, 1 => 2]);
});

it('counts what uses one revision of an affected item, and a revision only while something uses it', function (): void {
    // 5 stands for a revision of 4; 6 for a revision of 3 that nothing uses.
    $web = Web::of([[1, 3, 1], [2, 5, 1], [3, 4, 1], [6, 4, 1]]);
    expect(Reach::of($web, [4 => [5]], 100, [5, 6])->levels)
        ->toEqual([4 => 0, 3 => 1, 2 => 1, 1 => 2])
        ->and(Reach::of($web, [4 => [5]], 100, [5, 6])->path(2))
        ->toBe([4, 2]);
});

it('names as siblings the products that share at least half of their own components with a reached one', function (): void {
    // 1, 2 and 3 are sold. 1 is reached through 4. 2 shares 5 and 6 of its three components, 3 one of four.
    $web = Web::of([
        [1, 4, 1],
        [1, 5, 1],
        [1, 6, 1],
        [2, 5, 1],
        [2, 6, 1],
        [2, 7, 1],
        [3, 6, 1],
        [3, 7, 1],
        [3, 8, 1],
        [3, 9, 1],
        [4, 10, 1],
    ]);
    $sold = array_fill_keys([1, 2, 3], true);
    expect(Reach::of($web, [10 => []], 100)->siblings([1], $sold))
        ->toBe([2 => 1])
        // What is reached itself is no sibling.
        ->and(Reach::of($web, [6 => []], 100)->siblings([1, 2, 3], $sold))
        ->toBe([]);
});

it('reaches the same as where-used of each, on any structure', function (): void {
    mt_srand(7);
    for ($round = 0; $round < 60; $round++) {
        $lines = [];
        for ($i = 0; $i < 60; $i++) {
            $parent = mt_rand(0, 28);
            $first = mt_rand(0, 1) === 1 ? mt_rand(80, 110) : null;
            $lines[] = [
                $parent,
                mt_rand($parent + 1, 29),
                mt_rand(1, 9),
                $first,
                mt_rand(0, 1) === 1 ? mt_rand(($first ?? 80) + 1, 125) : null,
            ];
        }
        $web = Web::of($lines);
        $affected = [29 => [], 25 => [], 20 => []];
        $expected = [];
        foreach (array_keys($affected) as $item) {
            $used = WhereUsed::of($web, $item, 100);
            foreach ($used->parents as $parent) {
                $expected[$parent] = min($expected[$parent] ?? 99, $used->level($parent));
            }
        }
        $expected = array_diff_key($expected, $affected);
        $reach = Reach::of($web, $affected, 100);
        $found = array_diff_key($reach->levels, $affected);
        ksort($expected);
        ksort($found);
        expect($found)->toBe($expected);
        foreach (array_keys($found) as $position) {
            $path = $reach->path($position);
            expect(count($path) - 1)
                ->toBe($reach->levels[$position])
                ->and(array_key_exists($path[0], $affected))
                ->toBeTrue();
        }
    }
});

it('names the same siblings as comparing every product with every other', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        $lines = $components = [];
        for ($i = 0; $i < 40; $i++) {
            [$parent, $component] = [$random->getInt(1, 9), $random->getInt(10, 19)];
            $lines["{$parent} {$component}"] = [$parent, $component, 1];
            $components[$parent][$component] = true;
        }
        $sold = array_fill_keys(range(1, 9), true);
        $reach = Reach::of(Web::of(array_values($lines)), [$random->getInt(10, 19) => []], 100);
        $reached = array_keys(array_intersect_key($reach->levels, $sold));
        $expected = [];
        foreach (array_diff(array_keys($sold), $reached) as $other) {
            $shares = array_map(
                static fn(int $product): int => count(array_intersect_key($components[$product] ?? [], $components[$other] ?? [])),
                $reached,
            );
            if ($shares !== [] && max($shares) > 0 && 2 * max($shares) >= count($components[$other] ?? [])) {
                $expected[$other] = $reached[(int) array_search(max($shares), $shares, true)];
            }
        }
        expect($reach->siblings($reached, $sold))->toBe($expected);
    });
});
