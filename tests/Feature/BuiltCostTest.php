<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

/** The module is assembled at Tarn from two heads that Weir makes: a tube with scrap, two clamps, six screws. */
beforeEach(function (): void {
    $this->world = new World($this);
    $routed = fn(int $batch, array ...$operations): Closure => function (int $content) use ($batch, $operations): void {
        DB::table('routings')->insert(['content_id' => $content, 'batch' => $batch * 1_000_000]);
        foreach ($operations as $at => $operation) {
            DB::table('operations')->insert(
                [
                    'content_id' => $content,
                    'key' => sprintf('00000000-0000-7000-8000-%06d%06d', $content, $at),
                    'number' => 10 + 10 * $at,
                    'title' => 'Step',
                ] + $operation,
            );
        }
    };
    $this->world->built(
        '200-0010',
        'Weir',
        [[10, '200-0040', 0.5, 'm', 10], [20, '200-0042', 2, 'pc', 10], [30, '600-0014', 6, 'pc', 10]],
        $routed(
            10,
            ['work_centre' => 'PUMP', 'set_up' => 15_000, 'run' => 2_500],
            ['supplier' => 'Lindqvist', 'cost' => 34_000, 'lead_time' => 5],
        ),
    );
    $this->world->built('200-0001', 'Tarn', [[10, '200-0010', 2, 'pc', 10]], $routed(1, ['work_centre' => 'ASSY', 'run' => 6_000]));
    DB::table('work_centres')->insert([
        ['plant' => 'Weir', 'code' => 'PUMP', 'name' => 'Pump line', 'rate' => 480_000],
        ['plant' => 'Tarn', 'code' => 'ASSY', 'name' => 'Assembly', 'rate' => 600_000],
    ]);
    DB::table('items')
        ->whereIn('number', ['200-0040', '200-0042', '600-0014'])
        ->update(['lead_time_days' => 10]);
    $this->cost = fn(string $query = '?plant=Tarn'): array => $this->world
        ->as('vera', 'GET', "/items/200-0001/built-cost{$query}")
        ->assertOk()
        ->json();
});

it('rolls material, labour, set-up and subcontract up through plants and levels, and adds up', function (): void {
    $cost = ($this->cost)();
    expect($cost)
        ->toMatchArray([
            // Two heads: 0.5 m at 9.80, two clamps at 0.68, six screws at 0.05.
            'material' => '13.12',
            // Six minutes at 60.00 an hour, and twice 2.5 at 48.00.
            'labour' => '10.00',
            // Twice a tenth of fifteen minutes at 48.00.
            'set_up' => '2.40',
            'subcontract' => '6.80',
            'total' => '32.32',
            'run_minutes' => '11',
            'set_up_minutes' => '3',
            // A day to assemble, a day and five outside for a batch of heads, ten for what is bought.
            'lead_time_days' => 17,
            'chain' => ['200-0001', '200-0010', '200-0040'],
            'missing' => [],
        ])
        ->and(
            array_map(static fn(array $row): string => "{$row['quantity']} {$row['item']} {$row['plant']} {$row['total']}", $cost['rows']),
        )
        ->toBe(['1 200-0001 Tarn 6.00', '2 200-0010 Weir 13.20']);
});

it('counts what is lost on the way, also in the flattened structure', function (): void {
    $summary = fn(): array => $this->world->as('vera', 'GET', '/items/200-0001/summary?kind=manufacturing&plant=Tarn')->json();
    expect($summary()['cost'])->toBe('13.12');
    DB::statement('ALTER TABLE structure_lines DISABLE TRIGGER USER');
    DB::table('structure_lines')
        ->where('component_id', $this->world->items['200-0040'])
        ->whereNotNull('operation')
        ->update(['scrap' => 40_000]);
    DB::statement('ALTER TABLE structure_lines ENABLE TRIGGER USER');
    // A metre of tube and four hundredths of it.
    expect(($this->cost)()['material'])
        ->toBe('13.512')
        ->and($summary()['cost'])
        ->toBe('13.512')
        ->and(collect($summary()['rows'])->firstWhere('item.number', '200-0040')['quantity'])
        ->toBe('1.04');
});

it('names what is not known, and counts none of it as nothing', function (): void {
    DB::table('items')
        ->where('number', '600-0014')
        ->update(['standard_cost' => null, 'lead_time_days' => null]);
    DB::table('work_centres')->where('code', 'PUMP')->delete();
    expect(($this->cost)()['missing'])->toBe([
        '600-0014: no standard cost, and nothing that it is made of.',
        '600-0014: no lead time.',
        '200-0010 at Weir, operation 10: PUMP has no rate.',
    ]);
    // What no plant builds on the day costs what it is said to cost.
    expect(($this->cost)('?plant=Tarn&on=' . World::day(-900)))->toMatchArray(['material' => '486.00', 'rows' => []]);
});
