<?php

declare(strict_types=1);

use App\Releases\Models\Handover;
use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    World::planningTakes();
    $this->world = new World($this);
    $this->new = $this->world
        ->as('jonas', 'POST', '/items', [
            'title' => 'Pump head, wide',
            'kind' => 'assembly',
            'category' => 'pump',
            'unit' => 'pc',
            'supply' => 'make',
        ])
        ->assertOk()
        ->json('item.number');
    $this->order = $this->world->opened();
    $this->put = fn(string $item) => $this->world->as('mira', 'PUT', "/orders/{$this->order}/items/{$item}", [
        'outcome' => 'revise',
        'disposition' => null,
        'version' => $this->world->version($this->order),
    ]);
    $this->finish = function (): void {
        $this->world->as('jonas', 'POST', "/orders/{$this->order}/review", ['version' => $this->world->version($this->order)])->assertOk();
        $digest = $this->world->as('helen', 'GET', "/orders/{$this->order}/review")->json('order.digest');
        $this->world->as('helen', 'POST', "/orders/{$this->order}/signature", ['password' => 'secret', 'digest' => $digest])->assertOk();
        $this->world->as('mira', 'POST', "/orders/{$this->order}/release", ['version' => $this->world->version($this->order)])->assertOk();
    };
    $this->add = fn(string $to, string $component) => $this->world->as('jonas', 'POST', "/orders/{$this->order}/items/{$to}/edits", [
        'operation' => 'add',
        'line' => '',
        'fields' => ['find' => '50', 'component' => $component, 'quantity' => '1', 'unit' => $component === '200-0041' ? 'm' : 'pc'],
        'seen' => 0,
    ]);
});

it('releases a new item with its lines under an order, uses it under the same one, and introduces it to planning', function (): void {
    ($this->put)($this->new)
        ->assertOk()
        ->assertJsonPath('order.items', fn(array $rows): bool => collect($rows)->firstWhere('item.number', $this->new)['becomes'] === 'A');
    ($this->add)($this->new, '200-0041')->assertOk();
    ($this->add)('200-0010', $this->new)->assertOk();
    ($this->finish)();
    $this->world
        ->as('vera', 'GET', "/items/{$this->new}")
        ->assertJsonPath('item.revision', 'A')
        ->assertJsonPath('revisions.0.order', $this->order);
    $this->world
        ->as('vera', 'GET', '/items/200-0001/structure?levels=3&on=' . World::day(40))
        ->assertJsonPath('rows.*.line.component', ['200-0010', '200-0040', '200-0042', '600-0014', $this->new, '200-0041']);
    $entries = collect(Handover::query()->firstOrFail()->entries->pluck('record'));
    expect($entries->firstWhere('item', $this->new)['action'])
        ->toBe('introduce')
        ->and($entries->firstWhere('item', $this->new)['title'])
        ->toBe('Pump head, wide');
});

it('goes on from what was begun of a first revision', function (): void {
    // 200-0099 has a revision A in work.
    DB::table('structure_lines')->insert([
        'content_id' => DB::table('revisions')->where('item_id', $this->world->items['200-0099'])->value('id'),
        'line_key' => '00000000-0000-7000-8000-000000000001',
        'find' => 10,
        'component_id' => $this->world->items['600-0014'],
        'quantity' => 1_000_000,
        'unit' => 'pc',
    ]);
    ($this->put)('200-0099')->assertOk();
    ($this->add)('200-0099', '200-0042')->assertOk();
    $this->world->edit($this->order, 'change', 30, ['quantity' => '8'])->assertOk();
    ($this->finish)();
    expect(DB::table('revisions')->where('item_id', $this->world->items['200-0099'])->pluck('status', 'code')->all())->toBe([
        'A' => 'released',
    ]);
    $this->world
        ->as('vera', 'GET', '/items/200-0099/structure?on=' . World::day(40))
        ->assertJsonPath('rows.*.line.component', ['600-0014', '200-0042']);
});

it('holds the order where a component would have no release by then', function (): void {
    ($this->add)('200-0010', $this->new)->assertOk();
    $this->world
        ->as('jonas', 'POST', "/orders/{$this->order}/review", ['version' => $this->world->version($this->order)])
        ->assertStatus(422)
        ->assertJsonPath(
            'errors.edits.0',
            fn(string $told): bool => str_contains($told, "{$this->new}, which has no revision in force on"),
        );
});

it('holds the order where a component is released for a later day than the order', function (): void {
    $later = DB::table('revisions')->where('item_id', $this->world->items['200-0099']);
    $later->update(['status' => 'in_review']);
    $later->update(['status' => 'released', 'effective_from' => World::day(40), 'released_at' => now()]);
    ($this->add)('200-0010', '200-0099')->assertOk();
    $review = fn() => $this->world->as('jonas', 'POST', "/orders/{$this->order}/review", [
        'version' => $this->world->version($this->order),
    ]);
    $review()
        ->assertStatus(422)
        ->assertJsonPath('errors.edits.0', fn(string $told): bool => str_contains($told, '200-0099, which has no revision in force on'));
    $this->world
        ->as('mira', 'PATCH', "/orders/{$this->order}", [
            'effective_on' => World::day(40),
            'version' => $this->world->version($this->order),
        ])
        ->assertOk();
    $review()->assertOk();
});

it('gives numbers in work and letters once released, where the kind is set so', function (): void {
    $ivo = $this->world->people['mira'];
    $ivo->update(['roles' => ['administrator', 'coordinator']]);
    DB::table('categories')->update(['sequence' => null]);
    $this->world->as('jonas', 'PATCH', '/kinds/assembly', ['sequence' => 'numbers_then_letters'])->assertForbidden();
    $this->world->as('mira', 'PATCH', '/kinds/assembly', ['sequence' => 'runes'])->assertStatus(422);
    $this->world
        ->as('mira', 'PATCH', '/kinds/assembly', ['sequence' => 'numbers_then_letters'])
        ->assertOk()
        ->assertJsonPath('0.sequence', 'numbers_then_letters');
    ($this->put)($this->new)->assertOk();
    $path = "/orders/{$this->order}/items/{$this->new}";
    $this->world
        ->as('jonas', 'GET', "{$path}/redline")
        ->assertJsonPath('working', '1')
        ->assertJsonPath('becomes', 'A');
    ($this->add)($this->new, '200-0041')->assertOk();
    $this->world
        ->as('jonas', 'POST', "{$path}/works/engineering/iterations", ['note' => 'first try'])
        ->assertOk()
        ->assertJsonPath('working', '2')
        ->assertJsonPath('iterations.0.name', '1');
    // A released item of the kind goes on with letters.
    $this->world->as('jonas', 'GET', "/orders/{$this->order}/items/200-0010/redline")->assertJsonPath('working', 'B.1');
});
