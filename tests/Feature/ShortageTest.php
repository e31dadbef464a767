<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->parents = $this->world->parents(2, '200-0040', 2, 'm');
    DB::table('items')->update(['lead_time_days' => 0]);
    // Twenty working days are four weeks.
    DB::table('items')
        ->where('number', '200-0041')
        ->update(['lead_time_days' => 20]);
    $rows = [
        // Each head takes half a metre, each of the parents two.
        ['sales_order', 'SO-1', '200-0010', '40', 'pc', World::day(20)],
        ['sales_order', 'SO-2', $this->parents[0], '10', 'pc', World::day(12)],
        ['sales_order', 'SO-3', $this->parents[0], '10', 'pc', World::day(40)],
        ['sales_order', 'SO-4', '200-0040', '500', 'm', World::day(15)],
        ['stock', 'LOT-1', '200-0041', '5', 'm', null],
        ['purchase_order', 'PO-1', '200-0041', '30', 'm', World::day(25)],
        ['sales_order', 'SO-5', '200-0041', '1', 'm', World::day(2)],
    ];
    Http::fake([
        '*/supply' => static fn($request) => Http::response([
            'rows' => array_values(
                array_filter(
                    array_map(
                        static fn(array $row): array => array_combine(['kind', 'document', 'item', 'quantity', 'unit', 'due'], $row) + [
                            'revision' => 'A',
                            'unit_value' => '1.00',
                            'place' => 'Weir',
                            'status' => $row[0] === 'stock' ? 'free' : 'confirmed',
                        ],
                        $rows,
                    ),
                    static fn(array $row): bool => in_array($row['item'], $request->data()['items'], true),
                ),
            ),
        ]),
    ]);
    $this->ask = fn(array $more = [], string $by = 'jonas'): TestResponse => $this->world->only(
        $by,
        'POST',
        '/shortages',
        $more + [
            'old' => '200-0040',
            'new' => [['item' => '200-0041', 'ratio' => '1']],
            'parents' => ['200-0010', ...$this->parents],
            'first_day' => World::day(0),
        ],
    );
    $this->row = fn(array $more = []): array => array_intersect_key(
        ($this->ask)($more)->assertOk()->json('rows.0'),
        array_flip(['needed', 'short', 'short_from', 'until']),
    );
});

it('says what is lacking in the parents that are chosen, until what is ordered today can be there', function (): void {
    // Twenty metres on day 12 and twenty on day 20; four are left of the stock, thirty come on day 25, spares of the old go on.
    expect(($this->row)())->toBe(['needed' => '40', 'short' => '36', 'short_from' => World::day(12), 'until' => World::day(28)]);
    expect(($this->row)(['parents' => ['200-0010']]))
        ->toBe(['needed' => '20', 'short' => '16', 'short_from' => World::day(20), 'until' => World::day(28)])
        ->and(($this->row)(['parents' => [$this->parents[1]]]))
        ->toBe(['needed' => '0', 'short' => '0', 'short_from' => null, 'until' => World::day(28)])
        // From day 15 on only the heads take the new.
        ->and(($this->row)(['first_day' => World::day(15)]))
        ->toBe(['needed' => '20', 'short' => '16', 'short_from' => World::day(20), 'until' => World::day(28)])
        // What can be ordered in time is not short.
        ->and(($this->row)(['first_day' => World::day(30)])['short'])
        ->toBe('0')
        // Three of the new for one of the old.
        ->and(($this->row)(['parents' => ['200-0010'], 'new' => [['item' => '200-0041', 'ratio' => '3']]])['needed'])
        ->toBe('60');
});

it('names a lead time that nobody knows', function (): void {
    DB::table('items')
        ->where('number', '200-0041')
        ->update(['lead_time_days' => null]);
    ($this->ask)()->assertOk()->assertJsonPath('rows.0.lead_time_known', false)->assertJsonPath('rows.0.needed', '60');
});

it('refuses what cannot be asked, at its place', function (array $more, string $place): void {
    ($this->ask)($more)->assertStatus(422)->assertJsonValidationErrors($place);
})->with([
    'no such part' => [['old' => '200-9999'], 'old'],
    'no such new part' => [['new' => [['item' => '200-9999', 'ratio' => '1']]], 'new.0.item'],
    'none for one' => [['new' => [['item' => '200-0041', 'ratio' => '0']]], 'new.0.ratio'],
    'no such parent' => [['parents' => ['200-9999']], 'items'],
    'no day' => [['first_day' => 'soon'], 'first_day'],
    'nowhere' => [['parents' => []], 'parents'],
]);
