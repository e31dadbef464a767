<?php

declare(strict_types=1);

use Orthotaxis\Core\Adjacency\Loop;
use Orthotaxis\Core\CutIn\NodeSupply;
use Orthotaxis\Core\CutIn\Peg;
use Orthotaxis\Core\CutIn\Requirements;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Refusal;
use Tests\Core\Support\Make;
use Tests\Core\Support\Web;

const PIECE = Quantity::ONE;

/** @return array<int, int> day => pieces, where any are wanted */
function wantedBy(Requirements $requirements): array
{
    return array_filter(array_map(static fn(int $q): int => intdiv($q, PIECE), $requirements->byDay()));
}

it('nets what is sold against the shelf and what is being made, level by level', function (): void {
    // Two tubes (3) in a head (2), one head in a sampler (1). Samplers: 10 sold for day 20, 4 on the shelf, 2 being made for day 15.
    $web = Web::of([[1, 2, 1], [2, 3, 2]]);
    $requirements = Requirements::of($web, 3, 100, 60, [
        1 => new NodeSupply(4 * PIECE, [[20, 10 * PIECE, 'SO-1']], [[5, 15, 2 * PIECE, 'WO-1', true]], leadDays: 5),
        // Four samplers are still to be built from day 15 on: four heads, of which one is on the shelf; the rest begins on day 12.
        2 => new NodeSupply(1 * PIECE, leadDays: 3),
    ]);
    expect(wantedBy($requirements))->toBe([12 => 6]);
});

it('lets an order that is placed take its parts on its first day, unless it has them already', function (): void {
    $web = Web::of([[2, 3, 2]]);
    $requirements = Requirements::of($web, 3, 100, 60, [
        2 => new NodeSupply(0, [], [[4, 9, 5 * PIECE, 'WO-1', false], [1, 3, 7 * PIECE, 'WO-2', true], [-3, 2, 1 * PIECE, 'WO-3', false]]),
    ]);
    expect(wantedBy($requirements))
        ->toBe([0 => 2, 4 => 10])
        ->and($requirements->parents)
        ->toBe([2]);
});

it('tells what the demand is made of, when that is asked for', function (): void {
    $web = Web::of([[2, 3, 2], [4, 3, 1]]);
    $supply = [
        2 => new NodeSupply(0, [[9, 3 * PIECE, 'SO-1']], [[4, 9, 1 * PIECE, 'WO-1', false], [1, 3, 1 * PIECE, 'WO-2', true]]),
        3 => new NodeSupply(0, [[5, 4 * PIECE, 'SO-9']]),
        4 => new NodeSupply(0, [[7, 2 * PIECE, 'SO-2']]),
    ];
    $pegged = Requirements::of($web, 3, 100, 60, $supply, true);
    $told = array_map(
        static fn(Peg $peg): array => [$peg->position, $peg->day, intdiv($peg->quantity, PIECE), $peg->document],
        $pegged->pegs,
    );
    sort($told);
    expect($told)
        ->toBe([[2, 4, 2, 'WO-1'], [2, 9, 2, ''], [3, 5, 4, 'SO-9'], [4, 7, 2, '']])
        ->and(Requirements::of($web, 3, 100, 60, $supply)->pegs)
        ->toBe([])
        ->and(array_sum(array_column($told, 2)))
        ->toBe(array_sum(wantedBy($pegged)));
});

it('goes by the line that holds on the day an order begins', function (): void {
    // The head takes two tubes until day 109, three from day 110 on.
    $web = Web::of([[2, 3, 2, null, 110], [2, 3, 3, 110, null]]);
    $requirements = Requirements::of($web, 3, 100, 60, [2 => new NodeSupply(0, [[9, 1 * PIECE, 'SO-1'], [10, 1 * PIECE, 'SO-2']])]);
    expect(wantedBy($requirements))->toBe([9 => 2, 10 => 3]);
});

it('counts what is sold of the component itself, and forgets what lies beyond the time looked at', function (): void {
    $web = Web::of([[2, 3, 1]]);
    $requirements = Requirements::of($web, 3, 100, 30, [
        3 => new NodeSupply(0, [[3, 2 * PIECE, 'SO-9'], [40, 9 * PIECE, 'SO-10']]),
        2 => new NodeSupply(0, [[35, 1 * PIECE, 'SO-1']]),
    ]);
    expect(wantedBy($requirements))
        ->toBe([3 => 2])
        ->and($requirements->parents)
        ->toBe([]);
});

it('says that there are too many orders to be told one by one, and adds them up all the same', function (): void {
    $many = new NodeSupply(0, array_fill(0, 300_001, [1, PIECE, 'SO']));
    expect(fn() => Requirements::of(Web::of([[1, 0, 1]]), 0, 100, 3, [0 => $many], true))
        ->toThrow(Refusal::class, 'More than 300,000 orders')
        ->and(Requirements::of(Web::of([[1, 0, 1]]), 0, 100, 3, [0 => $many])->byDay())
        ->toBe([0, 300_001 * PIECE, 0]);
});

it('tells a loop as one', function (): void {
    expect(fn() => Requirements::of(Web::of([[1, 2, 1], [2, 1, 1]]), 2, 100, 30, []))->toThrow(Loop::class);
});

it('wants as much as an explosion of all that is sold, when nothing is there and nothing takes time', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        $lines = [];
        for ($i = 0; $i < 18; $i++) {
            $parent = $random->getInt(0, 7);
            $lines[] = [$parent, $random->getInt($parent + 1, 8), $random->getInt(1, 3)];
        }
        $sold = [];
        for ($i = 0; $i < 4; $i++) {
            $sold[$random->getInt(0, 7)][] = [$random->getInt(0, 19), $random->getInt(1, 5) * PIECE, "SO-{$i}"];
        }
        $naive = 0;
        $walk = function (int $at, int $quantity) use (&$walk, &$naive, $lines): void {
            $naive += $at === 8 ? $quantity : 0;
            foreach ($lines as [$parent, $component, $each]) {
                if ($parent === $at) {
                    $walk($component, $quantity * $each);
                }
            }
        };
        foreach ($sold as $item => $orders) {
            foreach ($orders as [, $quantity]) {
                $walk($item, intdiv($quantity, PIECE));
            }
        }
        $requirements = Requirements::of(
            Web::of($lines),
            8,
            100,
            20,
            array_map(static fn(array $orders): NodeSupply => new NodeSupply(0, $orders), $sold),
        );
        expect(array_sum(wantedBy($requirements)))->toBe($naive);
    });
});
