<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->order = $this->world->opened();
    $this->act = fn(string $method, array $body, string $by = 'mira'): TestResponse => $this->world->only(
        $by,
        $method,
        "/orders/{$this->order}/items",
        $body + ['version' => $this->world->version($this->order)],
    );
    $this->rows = fn(): array => DB::table('change_order_items AS r')
        ->join('items AS i', 'i.id', '=', 'r.item_id')
        ->orderBy('i.number')
        ->get(['i.number', 'r.outcome', 'r.disposition'])
        ->map(fn(stdClass $row): string => trim("{$row->number} {$row->outcome} {$row->disposition}"))
        ->all();
});

it('names a whole list at once, whose items open for work', function (): void {
    $parents = $this->world->parents(30, '600-0014', 3, 'pc');
    ($this->act)('POST', ['items' => [...$parents, '200-0010']])->assertOk();
    expect(($this->rows)())
        ->toHaveCount(32)
        ->toContain('300-0030 revise') // What is decided stays.
        ->toContain('200-0010 revise use_up');
    $this->world
        ->as('jonas', 'GET', "/orders/{$this->order}/items/300-0030/redline")
        ->assertOk()
        ->assertJsonCount(1, 'rows');
});

it('sets what becomes of many, and takes many off', function (): void {
    $parents = $this->world->parents(3, '600-0014', 3, 'pc');
    ($this->act)('POST', ['items' => $parents, 'outcome' => 'build', 'disposition' => 'rework'])->assertOk();
    ($this->act)('POST', ['items' => [...$parents, '200-0040'], 'disposition' => 'scrap'])->assertOk();
    expect(($this->rows)())->toBe([
        '200-0010 revise use_up',
        '200-0040 keep scrap',
        '300-0001 build scrap',
        '300-0002 build scrap',
        '300-0003 build scrap',
    ]);
    ($this->act)('POST', ['items' => $parents, 'outcome' => 'revise'])->assertOk();
    $this->world->as('jonas', 'GET', "/orders/{$this->order}/items/300-0002/redline")->assertJsonCount(1, 'rows');
    ($this->act)('DELETE', ['items' => $parents])->assertOk();
    expect(($this->rows)())->toHaveCount(2);
});

it('refuses the whole list for one item, and says which', function (): void {
    $this->world->edit($this->order, 'change', 20, ['quantity' => '4'])->assertOk();
    ($this->act)('POST', ['items' => ['200-0042', '200-0420']])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['items.1']]);
    ($this->act)('POST', ['items' => ['200-0042', '200-0010'], 'outcome' => 'keep'])
        ->assertStatus(422)
        ->assertJsonPath('errors', fn(array $errors): bool => str_contains($errors['items.1'][0], 'Undo its edits first'));
    ($this->act)('DELETE', ['items' => ['200-0040', '200-0010']])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['items.1']]);
    ($this->act)('DELETE', ['items' => ['200-0042']])->assertJsonPath(
        'errors',
        fn(array $e): bool => $e['items.0'] === ['200-0042 is not on this order.'],
    );
    ($this->act)('POST', ['items' => ['200-0042'], 'outcome' => 'vanish'])->assertJsonStructure(['errors' => ['outcome']]);
    ($this->act)('POST', ['items' => []])->assertJsonStructure(['errors' => ['items']]);
    ($this->act)('POST', ['items' => ['200-0042'], 'version' => 1])->assertStatus(409);
    ($this->act)('POST', ['items' => ['200-0042']], 'jonas')->assertForbidden();
    expect(($this->rows)())->toHaveCount(2);
});

it('pulls in a category, a range of assemblies, and what stood there on another day', function (): void {
    $asked = fn(string $query): TestResponse => $this->world->only('mira', 'GET', "/orders/{$this->order}/pulled-items?{$query}");
    $numbers = fn(string $query): array => array_column(array_column($asked($query)->assertOk()->json(), 'item'), 'number');
    expect($numbers('item=200-0040&way=category'))
        ->toContain('200-0040', '200-0042')
        ->and($numbers('item=200-0001&way=range&to=200-0010'))
        ->toBe(['200-0001', '200-0010'])
        // Parts are no assemblies.
        ->and($numbers('item=200-0040&way=range&to=200-0099'))
        ->toBe([])
        ->and($numbers('item=200-0040&way=parents&on=' . World::day(-2000)))
        ->toBe([]);
    $asked('item=200-0040&way=range&to=200-0001')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['to']]);
    $asked('item=200-0040&way=range')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['to']]);
    $asked('item=200-0040&way=parents&on=soon')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['on']]);
});

it('pulls in what stands above, below or beside an item', function (): void {
    $this->world->parents(2, '200-0010', 1, 'pc');
    $pulled = fn(string $item, string $way): array => array_map(
        fn(array $row): string => $row['item']['number'] . ($row['named'] ? ' named' : ''),
        $this->world
            ->only('mira', 'GET', "/orders/{$this->order}/pulled-items?item={$item}&way={$way}")
            ->assertOk()
            ->json(),
    );
    expect($pulled('200-0040', 'parents'))
        ->toBe(['200-0010 named'])
        ->and($pulled('200-0040', 'above'))
        ->toBe(['200-0001', '200-0010 named', '300-0001', '300-0002'])
        ->and($pulled('200-0001', 'components'))
        ->toBe(['200-0010 named'])
        ->and($pulled('200-0001', 'below'))
        ->toBe(['200-0010 named', '200-0040 named', '200-0042', '600-0014'])
        ->and($pulled('200-0010', 'documents'))
        ->toBe([]);
    $this->world
        ->only('mira', 'GET', "/orders/{$this->order}/pulled-items?item=200-0040&way=sideways")
        ->assertJsonStructure(['errors' => ['way']]);
    $this->world
        ->only('mira', 'GET', "/orders/{$this->order}/pulled-items?item=NONE&way=above")
        ->assertJsonStructure(['errors' => ['item']]);
});
