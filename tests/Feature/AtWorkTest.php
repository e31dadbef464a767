<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->order = $this->world->opened();
    $this->seen = fn(string $by, ?string $order = null): array => $this->world
        ->as($by, 'GET', '/orders/' . ($order ?? $this->order) . '/at-work')
        ->assertOk()
        ->json();
});

it('tells who else edits the order, where, as soon as it happens', function (): void {
    $before = ($this->seen)('mira');
    expect($before['others'])->toBe([]);
    $this->world->edit($this->order, 'change', 20, ['quantity' => '4'])->assertOk();
    $after = ($this->seen)('mira');
    expect($after['state'])
        ->not->toBe($before['state'])
        ->and($after['others'])
        ->toHaveCount(1)
        ->and($after['others'][0])
        ->toMatchArray(['by' => 'Jonas', 'order' => $this->order, 'item' => '200-0010', 'work' => 'engineering']);
    // What one does oneself is no news.
    expect(($this->seen)('jonas'))->toBe(['state' => ($this->seen)('jonas')['state'], 'others' => []]);
    $this->world->as('jonas', 'POST', "/orders/{$this->order}/items/200-0010/works/engineering/undo")->assertOk();
    expect(($this->seen)('mira')['state'])->not->toBe($after['state']);
});

it('tells who edits the same item under another order, and forgets who has done nothing for a while', function (): void {
    $other = $this->world->opened();
    $this->world->edit($other, 'change', 20, ['quantity' => '4'])->assertOk();
    expect(array_column(($this->seen)('edda')['others'], 'order'))->toBe([$other]);
    // Its state is its own: what goes on beside it is no reason to read it anew.
    expect(($this->seen)('edda')['state'])->toBe(($this->seen)('vera')['state']);
    DB::table('edits')->update(['made_at' => now()->subMinutes(11)]);
    expect(($this->seen)('edda')['others'])->toBe([]);
});
