<?php

declare(strict_types=1);

use Orthotaxis\Core\Adjacency\Adjacency;
use Orthotaxis\Core\Adjacency\Loop;
use Orthotaxis\Core\CutIn\Claim;
use Orthotaxis\Core\CutIn\NodeSupply;
use Orthotaxis\Core\CutIn\Peg;
use Orthotaxis\Core\CutIn\PlantDays;
use Orthotaxis\Core\CutIn\PlantNet;
use Orthotaxis\Core\CutIn\Requirements;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Refusal;
use Tests\Core\Support\Make;
use Tests\Core\Support\Web;

const PIECE = Quantity::ONE;

/** @param  array<int, NodeSupply>  $supply */
function needed(Adjacency $web, int $part, int $days, array $supply, bool $tells = false): Requirements
{
    return Requirements::of([new PlantNet($web, PlantDays::all(), $supply)], [$part], 100, $days, $tells);
}

/** @return array<int, int> day => pieces, where any are wanted; nothing is changed, so all of it is wanted by others */
function wantedBy(Requirements $requirements, int $part): array
{
    return array_filter(array_map(static fn(int $q): int => intdiv($q, PIECE), $requirements->demand(0, $part)->others));
}

it('nets what is sold against the shelf and what is being made, level by level', function (): void {
    // Two tubes (3) in a head (2), one head in a sampler (1). Samplers: 10 sold for day 20, 4 on the shelf, 2 being made for day 15.
    $web = Web::of([[1, 2, 1], [2, 3, 2]]);
    $requirements = needed($web, 3, 60, [
        1 => new NodeSupply(4 * PIECE, [[20, 10 * PIECE, 'SO-1']], [[5, 15, 2 * PIECE, 'WO-1', 2 * PIECE]], leadDays: 5),
        // Four samplers are still to be built from day 15 on: four heads, of which one is on the shelf; the rest begins on day 12.
        2 => new NodeSupply(1 * PIECE, leadDays: 3),
    ]);
    expect(wantedBy($requirements, 3))->toBe([12 => 6]);
});

it('lets an order that is placed take its parts on its first day, unless it has them already', function (): void {
    $web = Web::of([[2, 3, 2]]);
    $requirements = needed($web, 3, 60, [
        2 => new NodeSupply(0, [], [[4, 9, 5 * PIECE, 'WO-1', 0], [1, 3, 7 * PIECE, 'WO-2', 7 * PIECE], [-3, 2, 1 * PIECE, 'WO-3', 0]]),
    ]);
    expect(wantedBy($requirements, 3))
        ->toBe([0 => 2, 4 => 10])
        ->and($requirements->takers)
        ->toBe([[]]);
    // Where the change takes the tube out of the head, its orders are those that straddle.
    $changed = Requirements::of(
        [new PlantNet($web, PlantDays::all(), [2 => new NodeSupply(orders: [[4, 9, 5 * PIECE, 'WO-1', 0]])], uses: [3 => [2 => 0]])],
        [3],
        100,
        60,
    );
    expect($changed->takers)->toBe([[2 => true]]);
});

it('tells what the demand is made of, when that is asked for', function (): void {
    $web = Web::of([[2, 3, 2], [4, 3, 1]]);
    $supply = [
        2 => new NodeSupply(0, [[9, 3 * PIECE, 'SO-1']], [[4, 9, 1 * PIECE, 'WO-1', 0], [1, 3, 1 * PIECE, 'WO-2', PIECE]]),
        3 => new NodeSupply(0, [[5, 4 * PIECE, 'SO-9']]),
        4 => new NodeSupply(0, [[7, 2 * PIECE, 'SO-2']]),
    ];
    $pegged = needed($web, 3, 60, $supply, true);
    $told = array_map(
        static fn(Peg $peg): array => [$peg->position, $peg->day, intdiv($peg->quantity, PIECE), $peg->document],
        $pegged->pegs(0, 3),
    );
    sort($told);
    expect($told)
        ->toBe([[2, 4, 2, 'WO-1'], [2, 9, 2, ''], [3, 5, 4, 'SO-9'], [4, 7, 2, '']])
        ->and(needed($web, 3, 60, $supply)->pegs(0, 3))
        ->toBe([])
        ->and(array_unique(array_map(static fn(Peg $peg): Claim => $peg->claim, $pegged->pegs(0, 3)), SORT_REGULAR))
        ->toBe([Claim::Others])
        ->and(array_sum(array_column($told, 2)))
        ->toBe(array_sum(wantedBy($pegged, 3)));
});

it('goes by the line that holds on the day an order begins', function (): void {
    // The head takes two tubes until day 109, three from day 110 on.
    $web = Web::of([[2, 3, 2, null, 110], [2, 3, 3, 110, null]]);
    $requirements = needed($web, 3, 60, [2 => new NodeSupply(0, [[9, 1 * PIECE, 'SO-1'], [10, 1 * PIECE, 'SO-2']])]);
    expect(wantedBy($requirements, 3))->toBe([9 => 2, 10 => 3]);
});

it('counts what is sold of the component itself, and forgets what lies beyond the time looked at', function (): void {
    $web = Web::of([[2, 3, 1]]);
    $requirements = needed($web, 3, 30, [
        3 => new NodeSupply(0, [[3, 2 * PIECE, 'SO-9'], [40, 9 * PIECE, 'SO-10']]),
        2 => new NodeSupply(0, [[35, 1 * PIECE, 'SO-1']]),
    ]);
    expect(wantedBy($requirements, 3))->toBe([3 => 2]);
});

it('says that there are too many orders to be told one by one, and adds them up all the same', function (): void {
    $many = new NodeSupply(0, array_fill(0, 300_001, [1, PIECE, 'SO']));
    expect(fn() => needed(Web::of([[1, 0, 1]]), 0, 3, [0 => $many], true))
        ->toThrow(Refusal::class, 'More than 300,000 orders')
        ->and(needed(Web::of([[1, 0, 1]]), 0, 3, [0 => $many])->demand(0, 0)->others)
        ->toBe([0, 300_001 * PIECE, 0]);
});

it('tells a loop as one', function (): void {
    expect(fn() => needed(Web::of([[1, 2, 1], [2, 1, 1]]), 2, 30, []))->toThrow(Loop::class);
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
        $requirements = needed(
            Web::of($lines),
            8,
            20,
            array_map(static fn(array $orders): NodeSupply => new NodeSupply(0, $orders), $sold),
        );
        expect(array_sum(wantedBy($requirements, 8)))->toBe($naive);
    });
});

it('takes of stock and of what is being made for what is late, before anything new is made', function (): void {
    // Two samplers should have begun before today; five heads are there or coming, four are wanted later.
    $web = Web::of([[1, 2, 1], [2, 3, 1]]);
    $late = static fn(int $stock, array $orders): Requirements => needed($web, 3, 60, [
        1 => new NodeSupply(wanted: [[3, 2 * PIECE, 'SO-1'], [40, 4 * PIECE, 'SO-2']], leadDays: 10),
        2 => new NodeSupply($stock * PIECE, orders: $orders),
    ]);
    expect(wantedBy($late(1, []), 3))
        ->toBe([30 => 4])
        ->and($late(1, [])->demand(0, 3)->late['others'])
        ->toBe(PIECE)
        ->and(wantedBy($late(1, [[5, 20, 3 * PIECE, 'WO-1', 3 * PIECE]]), 3))
        ->toBe([30 => 2])
        ->and($late(1, [[5, 20, 3 * PIECE, 'WO-1', 3 * PIECE]])->demand(0, 3)->late['others'])
        ->toBe(0);
});

it('brings a new part from the plant that has it, though nothing is made of it yet', function (): void {
    // Tarn builds the head (1); the new tube (2) is bought at Weir.
    $tarn = new PlantNet(
        Web::of([[1, 3, 1]]),
        PlantDays::all(),
        [1 => new NodeSupply(wanted: [[9, 4 * PIECE, 'SO-1']])],
        from: [2 => 1],
        transferDays: 2,
        uses: [2 => [1 => PIECE]],
    );
    $requirements = Requirements::of([$tarn, new PlantNet(Web::of([]), PlantDays::all())], [2], 100, 20);
    expect(array_filter($requirements->demand(1, 2)->from))
        ->toBe([7 => 4 * PIECE])
        ->and($requirements->demand(0, 2)->isNone())
        ->toBeTrue();
});

it('tells what a parent takes from the cut-in on, also of a part that it has never had', function (): void {
    $web = Web::of([[1, 2, 2], [1, 5, 1]]);
    $requirements = Requirements::of(
        [
            new PlantNet(
                $web,
                PlantDays::all(),
                [1 => new NodeSupply(wanted: [[5, 3 * PIECE, 'SO-1']])],
                uses: [2 => [1 => 0], 4 => [1 => intdiv(PIECE, 2)]],
            ),
        ],
        [2, 4],
        100,
        10,
        true,
    );
    expect(array_filter($requirements->demand(0, 2)->until))
        ->toBe([5 => 6 * PIECE])
        ->and(array_filter($requirements->demand(0, 4)->from))
        ->toBe([5 => (int) (1.5 * PIECE)])
        ->and(array_map(static fn(Peg $peg): Claim => $peg->claim, $requirements->pegs(0, 4)))
        ->toBe([Claim::From]);
});
