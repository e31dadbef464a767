<?php

declare(strict_types=1);

use Orthotaxis\Core\Adjacency\Loop;
use Orthotaxis\Core\Adjacency\RollUp;
use Tests\Core\Support\Make;
use Tests\Core\Support\Web;

/**
 * The same by walking every way: cost of one, mass of one, days of the longest chain.
 *
 * @param  list<array{int, int, int}>  $lines
 * @param  array<int, int>  $costs
 * @param  array<int, int>  $masses
 * @param  array<int, int>  $leads
 * @return array{int, int, int}
 */
function walked(array $lines, int $item, array $costs, array $masses, array $leads): array
{
    $below = array_values(array_filter($lines, static fn(array $line): bool => $line[0] === $item));
    if ($below === []) {
        return [$costs[$item] ?? 0, $masses[$item] ?? 0, $leads[$item] ?? 0];
    }
    $cost = $mass = $lead = 0;
    foreach ($below as [, $component, $quantity]) {
        [$one, $weight, $days] = walked($lines, $component, $costs, $masses, $leads);
        $cost += $quantity * $one;
        $mass += $quantity * $weight;
        $lead = max($lead, $days);
    }

    return [$cost, $mass, $lead + ($leads[$item] ?? 0)];
}

it('adds up what is made of nothing, and the longest chain', function (): void {
    // A head (1) of two bodies (2) and six screws (4); a body of one casting (3) and three screws.
    $web = Web::of([[1, 2, 2], [1, 4, 6], [2, 3, 1], [2, 4, 3]]);
    $sum = RollUp::of($web, 1, 100, [1 => 999, 3 => 40_000, 4 => 500], [3 => 250, 4 => 2], [1 => 2, 2 => 5, 3 => 20, 4 => 30]);
    expect($sum->cost)
        ->toBe(2 * 40_000 + 12 * 500)
        ->and($sum->mass)
        ->toBe(2 * 250 + 12 * 2)
        ->and($sum->lead)
        ->toBe(37)
        ->and($sum->chain)
        ->toBe([1, 2, 4])
        ->and([$sum->withoutCost, $sum->withoutMass, $sum->withoutLead])
        ->toBe([[], [], []]);
});

it('names what is not known in place of counting it as nothing', function (): void {
    $sum = RollUp::of(Web::of([[1, 2, 1], [1, 3, 1], [2, 4, 1]]), 1, 100, [3 => 700, 4 => null], [4 => 9], [1 => 1, 2 => 0, 3 => 4]);
    expect($sum->cost)
        ->toBe(700)
        ->and($sum->mass)
        ->toBe(9)
        ->and($sum->lead)
        ->toBe(5)
        ->and($sum->withoutCost)
        ->toBe([4])
        ->and($sum->withoutMass)
        ->toBe([3])
        ->and($sum->withoutLead)
        ->toBe([4]);
});

it('goes by the lines that hold on the day', function (): void {
    $web = Web::of([[1, 2, 1, null, 100], [1, 3, 2, 100, null]]);
    $at = static fn(int $day): int => RollUp::of($web, 1, $day, [2 => 10, 3 => 7], [], [])->cost;
    expect($at(99))->toBe(10)->and($at(100))->toBe(14);
});

it('tells a loop, and a sum that would not be exact any more', function (): void {
    expect(fn() => RollUp::of(Web::of([[1, 2, 1], [2, 1, 1]]), 1, 100, [], [], []))
        ->toThrow(Loop::class)
        ->and(fn() => RollUp::of(Web::of([[1, 2, '900000']]), 1, 100, [2 => PHP_INT_MAX - 1], [], []))
        ->toThrow(OverflowException::class);
});

it('adds up to the same as walking every way, however much is shared', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        $lines = $costs = $masses = $leads = [];
        for ($i = 0; $i < 20; $i++) {
            $parent = $random->getInt(1, 7);
            $lines[] = [$parent, $random->getInt($parent + 1, 9), $random->getInt(1, 4)];
        }
        foreach (range(1, 9) as $item) {
            [$costs[$item], $masses[$item], $leads[$item]] = [
                $random->getInt(0, 90_000),
                $random->getInt(0, 5_000),
                $random->getInt(0, 30),
            ];
        }
        $sum = RollUp::of(Web::of($lines), 1, 100, $costs, $masses, $leads);
        // An item that is made of nothing adds up to itself.
        expect([$sum->cost, $sum->mass, $sum->lead])
            ->toBe(walked($lines, 1, $costs, $masses, $leads))
            ->and(array_sum(array_map(static fn(int $at): int => $leads[$at], $sum->chain)))
            ->toBe($sum->lead)
            ->and($sum->chain[0])
            ->toBe(1);
    });
    expect(RollUp::of(Web::of([[8, 9, 1]]), 1, 100, [1 => 5], [1 => 6], [1 => 7]))->toMatchObject([
        'cost' => 5,
        'mass' => 6,
        'lead' => 7,
        'chain' => [1],
    ]);
});
