<?php

declare(strict_types=1);

use Orthotaxis\Core\Manufacturing\BuiltRollUp;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Routing\OperationReader;
use Orthotaxis\Core\Routing\Routing;
use Orthotaxis\Core\Routing\RoutingCost;
use Orthotaxis\Core\Routing\RoutingLead;
use Orthotaxis\Core\Routing\UnitWork;
use Random\Randomizer;
use Tests\Core\Support\Make;
use Tests\Core\Support\Web;

/** @param  list<array<string, string>>  $operations */
function routingOf(array $operations, string $batch = '10'): Routing
{
    return new Routing(
        array_map(
            static fn(array $fields, int $at) => (new OperationReader())->read(
                "o{$at}",
                $fields + ['number' => (string) (10 + 10 * $at), 'title' => 'Step'],
            ),
            $operations,
            array_keys($operations),
        ),
        Quantity::parse($batch),
    );
}

function workOf(string $run, string $setUp = '0'): RoutingCost
{
    return RoutingCost::of(routingOf([['work_centre' => 'PUMP', 'run' => $run, 'set_up' => $setUp]]), ['PUMP' => Money::parse('48')]);
}

it('adds the work at each level, so often as that is made, to the material that is bought', function (): void {
    // A module (1) of two heads (2), each of one tube (3) of 4.90 and six screws (4) of 0.05; the module has four screws more.
    $web = Web::of([[1, 2, 2], [2, 3, 1], [2, 4, 6], [1, 4, 4]]);
    $up = BuiltRollUp::of(
        $web,
        1,
        100,
        // What the head is said to cost does not count: it is made.
        [2 => 999_0000, 3 => 4_9000, 4 => 500],
        [1 => 1, 2 => 3, 3 => 15, 4 => 5],
        [1 => UnitWork::of(workOf('5', '30')), 2 => UnitWork::of(workOf('2.5'))],
    );
    $sum = static fn(string $part): string => (string) Money::ofTenThousandths($up->work()->{$part});
    expect((string) Money::ofTenThousandths($up->material->cost))
        ->toBe('10.60')
        ->and($sum('labour'))
        // 5 minutes of the module and twice 2.5 of the head at 48.00 an hour.
        ->toBe('8.00')
        ->and($sum('setUp'))
        // 30 minutes for a batch of ten.
        ->toBe('2.40')
        ->and((string) Money::ofTenThousandths($up->total()))
        ->toBe('21.00')
        ->and($up->share(2)->run)
        ->toBe(5_000)
        ->and([$up->material->lead, $up->material->chain])
        ->toBe([19, [1, 2, 3]]);
});

it('takes off what by-products are worth, so often as they come out', function (): void {
    $web = Web::of([[1, 2, 2], [2, 3, 1]]);
    $up = BuiltRollUp::of($web, 1, 100, [3 => 4_9000], [], [2 => UnitWork::of(workOf('2.5'), 200)]);
    // Two tubes of 4.90, twice 2.5 minutes at 48.00 an hour, and twice 0.02 of offcuts.
    expect((string) Money::ofTenThousandths($up->total()))
        ->toBe('13.76')
        ->and($up->share(2)->credit)
        ->toBe(400)
        ->and($up->share(2)->total())
        ->toBe(3_9600);
});

it('names what is built of nothing, and does not count what is not in it', function (): void {
    $up = BuiltRollUp::of(Web::of([[1, 2, 1], [5, 6, 1]]), 1, 100, [2 => 100], [], array_fill_keys([2, 5, 6], UnitWork::of(workOf('1'))));
    expect([$up->material->cost, $up->material->withoutCost, array_keys($up->quantities)])->toBe([0, [2], [2]]);
});

it('adds up to the whole, whatever the structure', function (): void {
    Make::many(static function (Randomizer $random): void {
        $lines = $costs = $works = [];
        for ($parent = 1; $parent < 9; $parent++) {
            for ($component = $parent + 1; $component < 10; $component++) {
                if ($random->getInt(0, 2) === 0) {
                    $lines[] = [$parent, $component, $random->getInt(1, 3)];
                }
            }
        }
        $lines = $lines === [] ? [[1, 2, 1]] : $lines;
        for ($item = 1; $item < 10; $item++) {
            $costs[$item] = $random->getInt(0, 50_000);
            if ($random->getInt(0, 1) === 0) {
                $works[$item] = UnitWork::of(workOf((string) $random->getInt(0, 9), (string) $random->getInt(0, 30)));
            }
        }
        $walk = static function (int $item) use (&$walk, $lines, $costs, $works): int {
            $below = array_filter($lines, static fn(array $line): bool => $line[0] === $item);
            $own = isset($works[$item]) ? $works[$item]->total() : 0;
            if ($below === []) {
                return isset($works[$item]) ? $own : $costs[$item];
            }
            foreach ($below as [, $component, $quantity]) {
                $own += $quantity * $walk($component);
            }

            return $own;
        };
        $up = BuiltRollUp::of(Web::of($lines), 1, 100, $costs, [], $works);
        $shares = array_map(static fn(int $position): int => $up->share($position)->total(), array_keys($up->quantities));
        expect($up->total())
            ->toBe($walk(1))
            ->and($up->total())
            ->toBe($up->material->cost + array_sum($shares));
    });
});

it('takes what operations take one after another, in whole working days', function (array $operations, string $batch, int $days): void {
    expect(RoutingLead::of(routingOf($operations, $batch), 450)->days)->toBe($days);
})->with([
    'a batch of ten, and a painter' => [
        [['work_centre' => 'PUMP', 'set_up' => '15', 'run' => '120'], ['supplier' => 'Lindqvist', 'lead_time' => '5']],
        '10',
        8,
    ],
    'a day to the minute' => [[['work_centre' => 'PUMP', 'run' => '45']], '10', 1],
    'a thousandth more' => [[['work_centre' => 'PUMP', 'run' => '45', 'set_up' => '0.001']], '10', 2],
    'per batch' => [[['work_centre' => 'TEST', 'run' => '30', 'per' => 'batch']], '1000', 1],
    'nothing' => [[['work_centre' => 'TEST']], '10', 0],
]);

it('names a supplier of whom nobody knows how long it takes', function (): void {
    expect(RoutingLead::of(routingOf([['supplier' => 'Lindqvist']]), 450)->missing)->toBe([
        'Operation 10: nobody knows how long Lindqvist takes.',
    ]);
});
