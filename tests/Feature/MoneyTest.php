<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->request = $this->world
        ->as('jonas', 'POST', '/requests', $this->world->request(['items' => ['200-0040']]))
        ->assertOk()
        ->json('number');
    $row = static fn(string $kind, string $item, string $quantity, ?string $due = null): array => [
        'kind' => $kind,
        'document' => "{$kind}-1",
        'item' => $item,
        'revision' => 'A',
        'quantity' => $quantity,
        'unit' => $item === '200-0001' ? 'pc' : 'm',
        'unit_value' => '9.80',
        'due' => $due,
        'place' => 'Weir',
        'status' => 'free',
    ];
    // Of the forecast of day 300 seven are sold already in its week.
    // 120 m on stock, 40 m on order; the module is wanted 100 times in a year, and once after it.
    $this->rows = [
        $row('stock', '200-0040', '120'),
        $row('purchase_order', '200-0040', '40', World::day(20)),
        $row('sales_order', '200-0001', '30', World::day(10)),
        $row('sales_order', '200-0001', '7', World::day(299)),
        $row('forecast', '200-0001', '70', World::day(300)),
        $row('forecast', '200-0001', '1', World::day(400)),
        $row('quote', '200-0001', '500', World::day(40)),
    ];
    Http::fake([
        '*/supply' => fn($request) => Http::response([
            'rows' => array_values(
                array_filter($this->rows, static fn(array $one): bool => in_array($one['item'], $request['items'], true)),
            ),
        ]),
    ]);
    $this->money = fn(string $by = 'vera') => $this->world->as($by, 'GET', "/requests/{$this->request}/money")->assertOk();
    $this->say = fn(
        string $kind,
        string $subject,
        string $amount,
        string $reason = 'Known.',
        ?string $choice = null,
        string $by = 'mira',
    ) => $this->world->as($by, 'POST', "/requests/{$this->request}/figures", compact('kind', 'subject', 'amount', 'reason', 'choice'));
});

it('adds up dispositions, answers and what is said, once and every year', function (): void {
    ($this->money)()
        ->assertJsonPath('one_time_total', '0.00')
        ->assertJsonPath('yearly_total', '0.00')
        ->assertJsonPath('dispositions.*.disposition', ['use_up', 'use_up'])
        ->assertJsonPath('demand.0.units', '100');
    ($this->say)('disposition', '200-0040 stock', '', 'It cannot be reworked.', 'scrap')
        ->assertOk()
        ->assertJsonPath('dispositions.0.cost', '1176.00')
        ->assertJsonPath('dispositions.0.from', 'said')
        ->assertJsonPath('dispositions.0.said.by', 'Mira');
    ($this->say)('disposition', '200-0040 purchase_order', '1.5', 'The supplier takes it back.', 'return')
        ->assertOk()
        ->assertJsonPath('dispositions.1.cost', '60.00');
    ($this->say)('one_time', 'New extrusion tool', '4000')->assertOk();
    $id = $this->world
        ->as('mira', 'POST', "/requests/{$this->request}/questions", [
            'items' => ['200-0040'],
            'function' => 'quality',
            'topic' => 'cost',
            'text' => 'What does the test cost?',
            'to' => 'nils',
            'due_on' => World::day(3),
        ])
        ->json('questions.0.id');
    $this->world
        ->as('nils', 'POST', "/questions/{$id}/answer", ['answer' => 'A type test.', 'one_time' => '900', 'recurring' => '-12.50'])
        ->assertOk();
    // Half a metre goes into a head, one head into a module, 100 modules a year: 50 m at 12.50 less.
    ($this->money)()
        ->assertJsonPath('one_time_total', '6136.00')
        ->assertJsonPath('recurring.0.units', '50')
        ->assertJsonPath('recurring.0.amount', '-625.00')
        ->assertJsonPath('yearly_total', '-625.00')
        ->assertJsonPath('payback_months', 118)
        ->assertJsonPath('by_item.*.item', ['200-0040', ''])
        ->assertJsonPath('by_item.*.one_time', ['2136.00', '4000.00'])
        ->assertJsonPath('by_item.*.yearly', ['-625.00', '0.00'])
        ->assertJsonPath('one_time.2.answered_by', 'Nils');
    // What a specialist answered is said otherwise with a reason, and taken back.
    ($this->say)('answered', (string) $id, '700', 'Only half of it is ours.')
        ->assertOk()
        ->assertJsonPath('one_time.2.amount', '700.00')
        ->assertJsonPath('one_time.2.said.reason', 'Only half of it is ours.')
        ->assertJsonPath('by_item.0.one_time', '1936.00');
    $this->world
        ->as('mira', 'DELETE', "/requests/{$this->request}/figures/" . ($this->money)()->json('one_time.2.said.id'))
        ->assertOk()
        ->assertJsonPath('one_time_total', '6136.00');
    ($this->say)('demand', '200-0001', '2000', 'Two large customers more.')
        ->assertOk()
        ->assertJsonPath('yearly_total', '-12500.00')
        ->assertJsonPath('demand.0.told', '100')
        ->assertJsonPath('payback_months', 6);
    $said = ($this->say)('recurring', '200-0040', '-1', 'The offer of today.')
        ->assertOk()
        ->assertJsonPath('yearly_total', '-1000.00')
        ->json('recurring.0.said.id');
    $this->world
        ->as('mira', 'DELETE', "/requests/{$this->request}/figures/{$said}")
        ->assertOk()
        ->assertJsonPath('yearly_total', '-12500.00');
    $this->world->as('mira', 'DELETE', "/requests/{$this->request}/figures/{$said}")->assertStatus(422);
    expect(DB::table('ledger')->where('act', 'figure.said')->count())->toBe(6);
    $this->artisan('ledger:verify')->assertSuccessful();
});

it('counts what is sold inside of what is sold', function (): void {
    // The head is sold as a spare part too: 40 of them want half a metre each, beside the 100 modules.
    DB::table('items')
        ->where('number', '200-0010')
        ->update(['sold' => true]);
    $this->rows[] = ['item' => '200-0010', 'unit' => 'pc', 'quantity' => '40'] + $this->rows[2];
    ($this->say)('recurring', '200-0040', '2')
        ->assertOk()
        ->assertJsonPath('demand.*.product', ['200-0001', '200-0010'])
        ->assertJsonPath('recurring.0.units', '70')
        ->assertJsonPath('yearly_total', '140.00');
});

it('follows the parts that cut in, then the edits of the order, where nobody says what one costs more', function (): void {
    ($this->money)()->assertJsonPath('recurring', []);
    $this->world->as('mira', 'POST', "/requests/{$this->request}/finding", ['finding' => 'Feasible.', 'version' => 1])->assertOk();
    $this->world
        ->as('mira', 'POST', "/requests/{$this->request}/cut-ins", [
            'swaps' => [['gone' => ['200-0040'], 'come' => [['item' => '200-0041']]]],
            'parts' => [['item' => '200-0041', 'lead_days' => 20]],
            'chosen_on' => World::day(50),
            'reason' => 'Least cost.',
        ])
        ->assertOk();
    // 12.60 in place of 9.80 for a metre, 50 m a year.
    ($this->money)()
        ->assertJsonPath('recurring.0.what', '200-0041 in its place: Pump tube, 1.6')
        ->assertJsonPath('recurring.0.per_unit', '2.80')
        ->assertJsonPath('yearly_total', '140.00');
    ($this->say)('recurring', '200-0040', '3')->assertOk()->assertJsonPath('yearly_total', '150.00')->assertJsonCount(1, 'recurring');
    $this->world->as('mira', 'DELETE', "/requests/{$this->request}/figures/" . DB::table('figures')->value('id'))->assertOk();
    ($this->say)('disposition', '200-0040 stock', '', 'No use for it.', 'scrap')->assertOk();
    $this->world
        ->as('helen', 'POST', "/requests/{$this->request}/decision", ['decision' => 'approved', 'reason' => 'Yes.', 'version' => 2])
        ->assertOk();
    // The disposition of what is on stock is carried into the order; the edits of the order tell what one head costs more.
    $order = $this->world
        ->as('mira', 'POST', "/requests/{$this->request}/order")
        ->assertOk()
        ->assertJsonPath('order.items.0.disposition', 'scrap')
        ->json('number');
    $version = fn(): int => (int) DB::table('change_orders')->where('number', $order)->value('version');
    $this->world
        ->as('mira', 'PUT', "/orders/{$order}/items/200-0010", ['outcome' => 'revise', 'disposition' => null, 'version' => $version()])
        ->assertOk();
    $this->world
        ->as('mira', 'PATCH', "/orders/{$order}", [
            'effective_on' => World::day(60),
            'editor' => 'jonas',
            'signer' => 'helen',
            'version' => $version(),
        ])
        ->assertOk();
    $this->world->as('mira', 'POST', "/orders/{$order}/opening", ['version' => $version()])->assertOk();
    $this->world->edit($order, 'change', 10, ['quantity' => '0.75'])->assertOk();
    // A quarter of a metre more in each head: 2.45, in 100 heads.
    ($this->money)()
        ->assertJsonPath('recurring.0.what', "Edits of {$order}: Pump head")
        ->assertJsonPath('recurring.0.per_unit', '2.45')
        ->assertJsonPath('yearly_total', '245.00')
        ->assertJsonPath('by_item.1.yearly', '245.00');
});

it('takes what is usual in the category where nobody says otherwise', function (): void {
    $this->world->people['tomas']->update(['roles' => ['administrator']]);
    $set = fn(array $dispositions) => $this->world->setCategory('tomas', 'pump', [
        'number_prefix' => '200-',
        'number_width' => 4,
        'number_check' => false,
        'dispositions' => $dispositions,
    ]);
    $set([['kind' => 'forecast', 'disposition' => 'scrap']])->assertStatus(422);
    $set([['kind' => 'stock', 'disposition' => 'burn']])->assertStatus(422);
    $set([['kind' => 'stock', 'disposition' => 'rework', 'per_unit' => 'much']])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['dispositions.0.per_unit']]);
    $set([
        ['kind' => 'stock', 'disposition' => 'rework', 'per_unit' => '0.25'],
        ['kind' => 'purchase_order', 'disposition' => 'scrap', 'per_unit' => ''],
    ])
        ->assertOk()
        ->assertJsonPath('0.dispositions.1.per_unit', '0.25');
    ($this->money)()
        ->assertJsonPath('dispositions.0.cost', '30.00')
        ->assertJsonPath('dispositions.0.from', 'category')
        ->assertJsonPath('dispositions.1.cost', '392.00');
    ($this->say)('disposition', '200-0040 stock', '', 'All sold.', 'use_up')->assertOk()->assertJsonPath('dispositions.0.cost', '0.00');
});

it('works with what planning told last, and says so', function (): void {
    ($this->money)()->assertJsonPath('fault', null);
    Http::swap(new Illuminate\Http\Client\Factory());
    Http::fake(['*/supply' => Http::response('down', 503)]);
    ($this->money)()
        ->assertJsonPath('fault', fn(?string $fault): bool => $fault !== null)
        ->assertJsonPath('dispositions.0.quantity', '120')
        ->assertJsonPath('demand.0.units', '100');
});

it('refuses a figure that makes no sense, and saves nothing', function (array $said, string $place): void {
    ($this->say)(...$said)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => [$place]]);
    expect(DB::table('figures')->count())->toBe(0);
    ($this->say)('one_time', 'Tool', '1', by: 'jonas')->assertForbidden();
})->with([
    [['kind' => 'one_time', 'subject' => '', 'amount' => '1'], 'subject'],
    [['kind' => 'one_time', 'subject' => 'Tool', 'amount' => ''], 'amount'],
    [['kind' => 'one_time', 'subject' => 'Tool', 'amount' => '1,5'], 'amount'],
    [['kind' => 'one_time', 'subject' => 'Tool', 'amount' => '1', 'reason' => ''], 'reason'],
    [['kind' => 'demand', 'subject' => '200-0001', 'amount' => '-5'], 'amount'],
    [['kind' => 'disposition', 'subject' => '200-0040 stock', 'amount' => ''], 'choice'],
    [['kind' => 'disposition', 'subject' => '200-0010 stock', 'amount' => '', 'choice' => 'scrap'], 'subject'],
    [['kind' => 'disposition', 'subject' => '200-0040 forecast', 'amount' => '', 'choice' => 'scrap'], 'subject'],
    [['kind' => 'recurring', 'subject' => '200-0041', 'amount' => '1'], 'subject'],
    [['kind' => 'demand', 'subject' => '200-0040', 'amount' => '5'], 'subject'],
    [['kind' => 'luck', 'subject' => 'x', 'amount' => '1'], 'kind'],
    [['kind' => 'answered', 'subject' => '999999', 'amount' => '1'], 'subject'],
    [['kind' => 'answered', 'subject' => 'x', 'amount' => '1'], 'subject'],
]);
