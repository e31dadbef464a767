<?php

declare(strict_types=1);

use App\Documents\Models\ItemDocument;
use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $items = $this->world->items;
    DB::table('items')
        ->where('id', $items['710-0001'])
        ->update(['kind' => 'drawing']);
    DB::table('items')
        ->where('id', $items['600-0014'])
        ->update(['kind' => 'tool']);
    ItemDocument::query()->create([
        'item_id' => $items['200-0040'],
        'document_id' => $items['710-0001'],
        'shows_revision_id' => DB::table('revisions')->where('item_id', $items['200-0040'])->value('id'),
    ]);
    $this->world->built('200-0010', 'Weir', [[10, '200-0040', 1, 'pc', 20], [90, '600-0014', 1, 'pc', 20]]);
    $this->request = $this->world
        ->as('jonas', 'POST', '/requests', $this->world->request(['items' => ['200-0040']]))
        ->assertOk()
        ->json('number');
    $this->reach = fn(string $query = '') => $this->world->as('vera', 'GET', "/requests/{$this->request}/reach{$query}")->assertOk();
    $this->decide = fn(string $subject, ?bool $taken, string $reason = '', string $by = 'mira') => $this->world->as(
        $by,
        'POST',
        "/requests/{$this->request}/reach",
        ['subjects' => [$subject], 'taken' => $taken, 'reason' => $reason],
    );
});

it('names all that a change touches, each with the reason and the path', function (): void {
    $order = $this->world
        ->as('jonas', 'POST', '/requests', $this->world->request(['title' => 'Other clamp', 'items' => ['200-0010']]))
        ->json('number');
    $rows = ($this->reach)()->json('rows');
    expect(array_map(static fn(array $row): array => [$row['reason'], $row['number'], implode(' ', $row['path'])], $rows))->toBe([
        ['affected', '200-0040', '200-0040'],
        ['document', '710-0001', '200-0040'],
        ['plant', 'Weir', '200-0040'],
        ['operation', '200-0010', '200-0040'],
        ['tool', '600-0014', '200-0040'],
        ['open_change', $order, '200-0040 200-0010'],
        ['product', '200-0001', '200-0040 200-0010 200-0001'],
        ['parent', '200-0010', '200-0040 200-0010'],
    ]);
    expect($rows[1]['why'])
        ->toBe('Shows 200-0040, revision A')
        ->and([$rows[2]['title'], $rows[2]['why'], $rows[2]['level']])
        ->toBe(['Weir', 'Uses it in what it builds: 1 item', 1])
        ->and($rows[3]['title'])
        ->toBe('Operation 20, Weir: Pump head')
        ->and($rows[5]['why'])
        ->toBe('Request that names 200-0010');
    expect(($this->reach)('?reason=parent')->json('total'))
        ->toBe(1)
        ->and(($this->reach)('?from=7')->json('rows.*.reason'))
        ->toBe(['parent']);
    expect(($this->reach)('?on=2001-01-01')->json('counts'))->toBe([
        ['reason' => 'affected', 'rows' => 1],
        ['reason' => 'document', 'rows' => 1],
    ]);
    $this->world->as('vera', 'GET', "/requests/{$this->request}/reach?reason=none")->assertStatus(422);
    $this->world
        ->as('vera', 'GET', "/requests/{$this->request}/reach-picture")
        ->assertOk()
        ->assertJsonPath('nodes.*.number', ['200-0040', '200-0010', '200-0001'])
        ->assertJsonPath('edges', [[0, 1], [1, 2]])
        ->assertJsonPath('nodes.2.sold', true);
});

it('names the plants that build what a change affects, with the revision by which they do', function (): void {
    $this->world->built('200-0010', 'Tarn', [[10, '200-0040', 1, 'pc', 20]]);
    $request = $this->world->as('jonas', 'POST', '/requests', $this->world->request(['items' => ['200-0010']]))->json('number');
    $plants = $this->world
        ->as('vera', 'GET', "/requests/{$request}/reach?reason=plant")
        ->assertOk()
        ->json('rows');
    expect(array_map(static fn(array $row): array => [$row['number'], $row['why'], $row['level'], $row['subject']], $plants))->toBe([
        ['Tarn', 'Builds 200-0010 by A', 0, 'plant Tarn'],
        ['Weir', 'Builds 200-0010 by A', 0, 'plant Weir'],
    ]);
});

it('takes rows in and leaves them out on record, and takes that back', function (): void {
    $parent = 'parent ' . $this->world->items['200-0010'];
    ($this->decide)($parent, true, by: 'jonas')->assertForbidden();
    ($this->decide)($parent, false)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['reason']]);
    ($this->decide)('nonsense', true)->assertStatus(422);
    ($this->decide)('affected ' . $this->world->items['200-0040'], false, 'No.')->assertStatus(422);
    ($this->decide)($parent, true, 'Its gap has to follow.')
        ->assertOk()
        ->assertJsonPath('decided', 1)
        ->assertJsonPath('rows.0.why', 'Taken in')
        ->assertJsonPath('rows.0.decision.reason', 'Its gap has to follow.');
    // It is affected now; the decision stands beside it.
    $items = fn(): array => $this->world->as('vera', 'GET', "/dossiers/{$this->request}")->json('requests.0.items.*.number');
    expect($items())->toBe(['200-0010', '200-0040']);
    ($this->decide)('document 710-0001', false, 'The drawing stays true.')
        ->assertOk()
        ->assertJsonPath('rows.2.decision.taken', false)
        ->assertJsonPath('rows.2.decision.reason', 'The drawing stays true.')
        ->assertJsonPath('rows.2.decision.by', 'Mira');
    ($this->reach)('?decided=1')
        ->assertJsonPath('rows.*.subject', [$parent, 'document 710-0001'])
        ->assertJsonPath('total', 2);
    ($this->decide)($parent, null)->assertOk();
    expect($items())
        ->toBe(['200-0040'])
        ->and(DB::table('ledger')->where('act', 'like', 'reach.%')->orderBy('number')->pluck('act')->all())
        ->toBe(['reach.taken_in', 'reach.left_out', 'reach.taken_back']);
    $this->world->as('mira', 'POST', "/requests/{$this->request}/finding", ['finding' => 'No.', 'version' => 1])->assertOk();
    $this->world
        ->as('mira', 'POST', "/requests/{$this->request}/decision", ['decision' => 'rejected', 'reason' => 'No.', 'version' => 2])
        ->assertOk();
    ($this->decide)($parent, true)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['request']]);
});

it('never takes away what the request named itself, nor takes in what does not exist', function (): void {
    $parent = 'parent ' . $this->world->items['200-0010'];
    $named = fn(): array => $this->world->as('vera', 'GET', "/dossiers/{$this->request}")->json('requests.0.items.*.number');
    ($this->decide)($parent, true)->assertOk();
    ($this->decide)($parent, true, 'Said again.')->assertOk();
    expect($named())->toBe(['200-0010', '200-0040']);
    ($this->decide)($parent, false, 'Not after all.')->assertOk();
    expect($named())->toBe(['200-0040']);
    // A second subject for what is named already adds nothing, and takes nothing away.
    ($this->decide)('product ' . $this->world->items['200-0040'], true)->assertOk();
    ($this->decide)('product ' . $this->world->items['200-0040'], null)->assertOk();
    expect($named())->toBe(['200-0040']);
    foreach (['parent 999999999', 'document none', 'tool none', 'parent 12x', 'open_change 4'] as $nothing) {
        ($this->decide)($nothing, true)->assertStatus(422);
    }
    expect($named())
        ->toBe(['200-0040'])
        ->and(DB::table('reach_decisions')->pluck('taken', 'subject')->all())
        ->toBe([$parent => false]);
});

it('asks a few questions however much is reached', function (): void {
    $count = function (): int {
        DB::enableQueryLog();
        DB::flushQueryLog();
        ($this->reach)();
        $this->world->as('vera', 'GET', "/requests/{$this->request}/reach-picture")->assertOk();

        return count(DB::getQueryLog());
    };
    $few = $count();
    for ($i = 0; $i < 4; $i++) {
        $this->world->as('jonas', 'POST', '/requests', $this->world->request())->assertOk();
    }
    expect($count())->toBe($few)->and($few)->toBeLessThan(36);
});
