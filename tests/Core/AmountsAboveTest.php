<?php

declare(strict_types=1);

use Orthotaxis\Core\Adjacency\AmountsAbove;
use Orthotaxis\Core\Adjacency\Loop;
use Orthotaxis\Core\Adjacency\WhereUsed;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Quantity;
use Tests\Core\Support\Web;

it('adds what several items make dearer or cheaper in all that is above them', function (): void {
    // 1 pump, 2 head, 3 clip, 4 spring, 5 label: two heads in a pump, four clips and a spring in a head, a label in the pump alone.
    $web = Web::of([[1, 2, 2], [2, 3, 4], [2, 4, 1], [1, 5, 1]]);
    $above = AmountsAbove::of($web, [3 => 1_000, 4 => -2_000], 100);
    expect($above->amounts)
        ->toEqual([3 => 1_000, 4 => -2_000, 2 => 2_000, 1 => 4_000])
        ->and($above->above)
        ->toEqualCanonicalizing([1, 2]);
    // What changes and has another in it that changes: both count.
    $both = AmountsAbove::of($web, [2 => 500, 3 => 1_000], 100);
    expect($both->amounts)
        ->toEqual([2 => 4_500, 3 => 1_000, 1 => 9_000])
        ->and($both->above)
        ->toEqualCanonicalizing([1, 2]);
});

it('rounds once, however small the shares on the way', function (): void {
    // A third of a thousandth in each of three, all in one.
    $web = Web::of([[1, 2, 1], [1, 3, 1], [1, 4, 1], [2, 5, '0.0004'], [3, 5, '0.0004'], [4, 5, '0.0004']]);
    expect(AmountsAbove::of($web, [5 => 1_000], 100)->amounts)->toEqual([5 => 1_000, 4 => 0, 3 => 0, 2 => 0, 1 => 1]);
    expect(AmountsAbove::of($web, [5 => -1_000], 100)->amounts[1])->toBe(-1);
});

it('is bounded by the day, and asks nothing of nothing', function (): void {
    $web = Web::of([[1, 2, 3, 50, 60]]);
    expect(AmountsAbove::of($web, [2 => 10], 49)->above)
        ->toBe([])
        ->and(AmountsAbove::of($web, [2 => 10], 50)->amounts)
        ->toEqual([2 => 10, 1 => 30])
        ->and(AmountsAbove::of($web, [], 50)->amounts)
        ->toBe([]);
});

it('counts what uses one revision of an item, and a revision only while something uses it', function (): void {
    // 5 stands for a revision of 4; 6 for one of 3 that nothing uses.
    $web = Web::of([[1, 3, 2], [2, 5, 3], [3, 4, 1], [6, 4, 1]]);
    $above = AmountsAbove::of($web, [4 => 10], 100, [4 => [5]], [5, 6]);
    expect($above->amounts)
        ->toEqual([4 => 10, 3 => 10, 2 => 30, 1 => 20])
        ->and($above->above)
        ->toEqualCanonicalizing([1, 2, 3]);
});

it('tells what contains itself, and what becomes too large', function (): void {
    expect(fn() => AmountsAbove::of(Web::of([[1, 2, 1], [2, 1, 1], [2, 3, 1]]), [3 => 1], 100))->toThrow(Loop::class);
    $web = Web::of([[1, 2, 1_000_000], [2, 3, 1_000_000], [3, 4, 1_000_000]]);
    expect(fn() => AmountsAbove::of($web, [4 => 10_000], 100))->toThrow(OverflowException::class);
});

it('comes to what each item alone comes to, added up, on any structure', function (bool $ordered, int $items): void {
    mt_srand(12);
    for ($round = 0; $round < 40; $round++) {
        $lines = [];
        for ($n = 0; $n < 3 * $items; $n++) {
            $parent = mt_rand(1, $items - 1);
            // Few levels, so that what is shared does not grow beyond what is kept.
            $child = mt_rand($parent + 1, min($items, $parent + 1 + intdiv($items, 2)));
            $pair = intdiv(3 * $parent, $items) < intdiv(3 * $child, $items) ? [$parent, $child] : null;
            if ($pair !== null) {
                $lines[] = [...$ordered ? $pair : array_map(static fn(int $at): int => $items + 1 - $at, $pair), mt_rand(1, 4)];
            }
        }
        $web = Web::of($lines);
        $amounts = [];
        foreach (array_unique([mt_rand(1, $items), mt_rand(1, $items), mt_rand(1, $items)]) as $item) {
            $amounts[$item] = mt_rand(-500, 500);
        }
        $amounts = array_filter($amounts, static fn(int $at): bool => $at < $web->size, ARRAY_FILTER_USE_KEY);
        $wanted = $amounts;
        $reached = [];
        foreach ($amounts as $item => $amount) {
            $used = WhereUsed::of($web, $item, 100);
            foreach ($used->parents as $parent) {
                $reached[$parent] = true;
                $wanted[$parent] =
                    ($wanted[$parent] ?? 0) + FixedPoint::scale($amount, $used->quantity($parent)->millionths, Quantity::ONE);
            }
        }
        $above = AmountsAbove::of($web, $amounts, 100);
        expect($above->amounts)->toEqual($wanted)->and($above->above)->toEqualCanonicalizing(array_keys($reached));
    }
})->with([[true, 12], [false, 12], [true, 3_000]]);
