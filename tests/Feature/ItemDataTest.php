<?php

declare(strict_types=1);

use App\Structures\Actions\PutDataInForce;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    World::planningTakes();
    $this->world = new World($this);
    $this->order = $this->world->opened();
    $this->names = fn(string $item, string $outcome, ?string $disposition = null) => $this->world->only(
        'mira',
        'PUT',
        "/orders/{$this->order}/items/{$item}",
        ['outcome' => $outcome, 'disposition' => $disposition, 'version' => $this->world->version($this->order)],
    );
    $this->shown = fn(string $item): array => $this->world->as('jonas', 'GET', "/orders/{$this->order}/items/{$item}/data")->json();
    $this->set = fn(string $item, array $fields, string $by = 'jonas', ?int $seen = null) => $this->world->only(
        $by,
        'POST',
        "/orders/{$this->order}/items/{$item}/data",
        ['fields' => $fields, 'seen' => $seen ?? ($this->shown)($item)['seen']],
    );
    $this->review = fn() => $this->world->only('jonas', 'POST', "/orders/{$this->order}/review", [
        'version' => $this->world->version($this->order),
    ]);
    $this->cost = fn(string $on): string => $this->world
        ->as('vera', 'GET', "/items/200-0001/summary?on={$on}")
        ->assertOk()
        ->json('cost');
});

it('changes what is known of an item from the day of the order on, and reads what was before', function (): void {
    ($this->names)('200-0040', 'data')->assertOk();
    $before = ($this->cost)(World::day(31));
    ($this->set)('200-0040', [
        'standard_cost' => '12.80',
        'lead_time_days' => '20',
        'safety_stock@Weir' => '40',
        'pack' => '50',
    ])->assertOk();
    $redline = ($this->shown)('200-0040');
    expect(
        collect($redline['rows'])
            ->where('mark', '!=', 'unchanged')
            ->map(fn(array $row): array => [$row['label'], $row['before'], $row['after']])
            ->values()
            ->all(),
    )
        ->toBe([
            ['Standard cost', '9.80', '12.80'],
            ['Lead time', '', '20'],
            ['Quantity per pack', '', '50'],
            ['Safety stock at Weir', '', '40'],
        ])
        ->and([$redline['base'], $redline['becomes']])
        ->toBe(['A', 'B']);
    // Half a metre of it is in each module.
    $consequences = $this->world->as('jonas', 'GET', "/orders/{$this->order}/consequences")->json();
    expect(collect($consequences['products'])->firstWhere('product', '200-0001')['difference'])->toBe('1.50');
    $this->world->edit($this->order, 'change', 30, ['quantity' => '8'])->assertOk();
    $this->world->released($this->order);

    expect(DB::table('items')->where('number', '200-0040')->value('standard_cost'))
        ->toBe(98_000)
        ->and((float) ($this->cost)(World::day(31)) - (float) $before)
        ->toEqualWithDelta(1.5 + 2 * 0.05, 0.0001)
        ->and(($this->cost)(World::day(29)))
        ->toBe($before);
    $on = fn(int $day): array => $this->world->as('vera', 'GET', '/items/200-0040/data?on=' . World::day($day))->json();
    $costs = fn(int $day): string => collect($on($day)['rows'])->firstWhere('key', 'standard_cost')['after'];
    expect([$costs(-900), $costs(29), $costs(30), $costs(900)])
        ->toBe(['9.80', '9.80', '12.80', '12.80'])
        ->and(array_column($on(30)['revisions'], 'order'))
        ->toBe([$this->order, null])
        ->and(array_column($on(30)['revisions'], 'holds'))
        ->toBe([true, false])
        ->and(array_column($on(29)['revisions'][0]['changes'], 'key'))
        ->toBe(['standard_cost', 'lead_time_days', 'pack', 'safety_stock@Weir']);

    expect(PutDataInForce::on(Day::parse(World::day(29))))
        ->toBe(0)
        ->and(PutDataInForce::on(Day::parse(World::day(30))))
        ->toBe(1)
        ->and(PutDataInForce::on(Day::parse(World::day(30))))
        ->toBe(0)
        ->and(
            DB::table('items')
                ->where('number', '200-0040')
                ->first(['standard_cost', 'lead_time_days']),
        )
        ->toEqual((object) ['standard_cost' => 128_000, 'lead_time_days' => 20]);
    expect(fn() => DB::transaction(fn() => DB::table('item_data')->update(['value' => '1'])))->toThrow(
        QueryException::class,
        'never change',
    );
    $this->artisan('ledger:verify')->assertSuccessful();
});

it('hands it over field by field', function (): void {
    ($this->names)('200-0040', 'data')->assertOk();
    ($this->set)('200-0040', ['standard_cost' => '12.80', 'minimum_lot@Weir' => '200'])->assertOk();
    $this->world->edit($this->order, 'change', 30, ['quantity' => '8'])->assertOk();
    $this->world->released($this->order);
    $entries = DB::table('handover_entries')
        ->orderBy('number')
        ->pluck('record')
        ->map(fn(string $json): array => json_decode($json, true))
        ->where('structure', 'item_data')
        ->map(fn(array $entry): array => array_intersect_key($entry, array_flip(['action', 'revision', 'field', 'of', 'value'])))
        ->values()
        ->all();
    // What it leaves out is not kept either.
    expect($entries)->toEqual([
        ['action' => 'supersede', 'revision' => 'B'],
        ['action' => 'change', 'revision' => 'B', 'field' => 'standard_cost', 'value' => '12.80'],
        ['action' => 'keep', 'revision' => 'B', 'field' => 'supply', 'value' => 'make'],
        ['action' => 'add', 'revision' => 'B', 'field' => 'minimum_lot', 'of' => 'Weir', 'value' => '200'],
    ]);
    $shown = $this->world->as('vera', 'GET', "/dossiers/{$this->order}")->json('handovers.0.entries.*.data');
    expect(array_values(array_filter($shown)))->toBe(['Item data', 'Standard cost: 12.80', 'Supply: make', 'Minimum lot at Weir: 200']);
});

it('refuses what cannot be, at its place, and saves nothing', function (): void {
    ($this->names)('200-0040', 'data')->assertOk();
    ($this->set)('200-0040', [
        'standard_cost' => '12.80',
        'lead_time_days' => 'soon',
        'safety_stock@Mars' => '4',
        'attribute@Colour' => 'grey',
        'supply' => 'make',
        'replaced_by' => '200-0040',
    ])
        ->assertStatus(422)
        ->assertJsonPath('errors', [
            'lead_time_days' => ['Write whole working days, at most 3650.'],
            'safety_stock@Mars' => ['There is no plant Mars.'],
            'attribute@Colour' => ['200-0040 has no attribute Colour.'],
            'supply' => ['This changes nothing: it reads so already.'],
            'replaced_by' => ['An item does not replace itself.'],
        ]);
    ($this->set)('200-0040', ['colour' => 'red'])
        ->assertStatus(422)
        ->assertJsonPath('errors.colour.0', 'An item has no such field.');
    ($this->set)('200-0040', ['replaced_by' => '999-9999'])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['replaced_by']]);
    ($this->set)('200-0040', ['pack' => '5'], 'edda')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['editor']]);
    ($this->set)('200-0040', ['pack' => '5'], 'vera')->assertForbidden();
    ($this->set)('600-0014', ['pack' => '5'], seen: 0)
        ->assertStatus(422)
        ->assertJsonPath('errors.item.0', "600-0014 is not on {$this->order}.");
    expect(DB::table('edits')->count())->toBe(0);
    // Not of an item that stays as it is.
    ($this->names)('200-0040', 'keep', 'use_up')->assertOk();
    ($this->set)('200-0040', ['pack' => '5'])
        ->assertStatus(422)
        ->assertJsonPath('errors.item.0', fn(string $why): bool => str_contains($why, 'Item data only'));
});

it('is taken back and made again, tells whoever comes later, and keeps the outcome that it needs', function (): void {
    ($this->set)('200-0010', ['lead_time_days' => '12'])->assertOk();
    ($this->set)('200-0010', ['pack' => '4'], seen: 0)->assertStatus(409);
    ($this->names)('200-0010', 'keep', 'use_up')->assertStatus(422);
    $turn = fn(string $which) => $this->world->only('jonas', 'POST', "/orders/{$this->order}/items/200-0010/works/item_data/{$which}");
    $turn('undo')->assertOk();
    expect(($this->shown)('200-0010'))->toMatchArray(['becomes' => null, 'can_undo' => false, 'can_redo' => true]);
    $turn('undo')->assertStatus(422);
    $turn('redo')->assertOk();
    expect(($this->shown)('200-0010')['becomes'])->toBe('B');
    $turn('redo')->assertStatus(422);
});

it('holds a retirement up while the item is used anywhere on the day', function (): void {
    ($this->names)('200-0040', 'data')->assertOk();
    ($this->set)('200-0040', ['replaced_by' => '200-0041'])->assertOk();
    $this->world->edit($this->order, 'change', 30, ['quantity' => '8'])->assertOk();
    ($this->review)()->assertStatus(422)->assertJsonPath('errors.edits.0', fn(string $why): bool => str_contains($why, 'but not retired'));
    ($this->set)('200-0040', ['retired' => 'yes'])->assertOk();
    ($this->review)()
        ->assertStatus(422)
        ->assertJsonPath('errors.edits.0', '200-0040, item data is retired, and still used in 200-0010.')
        ->assertJsonPath('errors.items.0', fn(string $why): bool => str_contains($why, '200-0040'));
    ($this->names)('200-0040', 'data', 'scrap')->assertOk();
    $this->world->edit($this->order, 'replace', 10, ['component' => '200-0041'])->assertOk();
    $this->world->released($this->order);
    $tube = DB::table('revisions')->where('item_id', $this->world->items['200-0040'])->first();
    expect([$tube->status, $tube->effective_to])->toBe(['obsolete', World::day(30)]);
    // It cannot be used again, nor revised, nor changed.
    $other = $this->world->opened();
    $this->order = $other;
    $this->world->edit($other, 'add', 90, ['find' => '90', 'component' => '200-0040', 'quantity' => '1', 'unit' => 'm']);
    ($this->review)()->assertStatus(422)->assertJsonPath('errors.edits.0', fn(string $why): bool => str_contains($why, 'uses 200-0040'));
    ($this->names)('200-0040', 'revise', 'use_up')
        ->assertStatus(422)
        ->assertJsonPath('errors.item.0', '200-0040 is retired: it gets no new revision.');
    ($this->names)('200-0040', 'data')->assertOk();
    ($this->set)('200-0040', ['pack' => '5'])
        ->assertStatus(422)
        ->assertJsonPath('errors.item.0', '200-0040 is retired.');
});

it('does not retire what the same order revises', function (): void {
    ($this->names)('200-0001', 'revise', 'use_up')->assertOk();
    ($this->set)('200-0001', ['retired' => 'yes'])->assertOk();
    ($this->review)()
        ->assertStatus(422)
        ->assertJsonPath(
            'errors.edits.0',
            fn(string $why): bool => str_contains($why, '200-0001, item data is retired, and gets a new revision'),
        );
});

it('names two orders that change the data of one item', function (): void {
    ($this->names)('200-0040', 'data')->assertOk();
    ($this->set)('200-0040', ['pack' => '5'])->assertOk();
    $first = $this->order;
    $collisions = fn(): array => collect($this->world->as('jonas', 'GET', "/orders/{$first}/consequences")->json('collisions'))
        ->mapWithKeys(fn(array $one): array => [$one['order'] => $one['items']])
        ->all();
    $this->order = $this->world->opened();
    ($this->names)('200-0040', 'data')->assertOk();
    expect($collisions())->toBe([$this->order => ['200-0010']]);
    ($this->set)('200-0040', ['pack' => '6'])->assertOk();
    expect($collisions())->toBe([$this->order => ['200-0010', '200-0040']]);
});

it('releases nothing where edits come to nothing', function (): void {
    World::planningTakes();
    $this->world->edit($this->order, 'change', 30, ['quantity' => '8'])->assertOk();
    ($this->set)('200-0010', ['lead_time_days' => '12'])->assertOk();
    ($this->set)('200-0010', ['lead_time_days' => ''])->assertOk();
    expect(($this->shown)('200-0010'))->toMatchArray(['becomes' => null, 'can_undo' => true]);
    $this->world->released($this->order);
    expect(DB::table('contents')->where('kind', 'item_data')->pluck('code')->all())->toBe(['A']);
});
