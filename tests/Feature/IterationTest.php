<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->order = $this->world->opened();
    $this->path = "/orders/{$this->order}/items/200-0010";
    $this->keep = fn(string $note = '', string $by = 'jonas') => $this->world->as(
        $by,
        'POST',
        "{$this->path}/works/engineering/iterations",
        [
            'note' => $note,
        ],
    );
    $this->quantity = fn(): string => collect($this->world->as('jonas', 'GET', "{$this->path}/redline")->json('rows'))->firstWhere(
        'after.find',
        30,
    )['after']['quantity'] ?? 'gone';
});

it('keeps work under names of its own, compares it with what is now, and goes back to it', function (): void {
    $this->world->edit($this->order, 'change', 30, ['quantity' => '8'])->assertOk();
    ($this->keep)('eight screws')
        ->assertOk()
        ->assertJsonPath('iterations.0.name', 'B.1')
        ->assertJsonPath('iterations.0.note', 'eight screws')
        ->assertJsonPath('iterations.0.edits', 1)
        ->assertJsonPath('working', 'B.2');
    ($this->keep)()->assertStatus(422)->assertJsonPath('errors.note.0', 'Nothing was changed since the last iteration.');
    $this->world->edit($this->order, 'change', 30, ['quantity' => '4'])->assertOk();
    $this->world->edit($this->order, 'remove', 20)->assertOk();
    ($this->keep)('four')
        ->assertOk()
        ->assertJsonPath('iterations.*.name', ['B.2', 'B.1']);

    $query = "left=200-0010&left_order={$this->order}&left_iteration=1&right=200-0010&right_order={$this->order}&levels=one";
    $this->world
        ->as('vera', 'GET', "/comparison?{$query}")
        ->assertOk()
        ->assertJsonPath('totals.changed', 1)
        ->assertJsonPath('totals.removed', 1);
    $this->world
        ->as('vera', 'GET', '/comparison?' . str_replace('iteration=1', 'iteration=7', $query))
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['iteration']]);

    $seen = $this->world->as('jonas', 'GET', "{$this->path}/redline")->json('seen');
    $this->world->as('jonas', 'POST', "{$this->path}/works/engineering/iterations/1/return", ['seen' => $seen])->assertOk();
    expect(($this->quantity)())->toBe('8');
    // Going back is edits like others: what was before can be had again.
    $this->world->as('jonas', 'POST', "{$this->path}/works/engineering/undo")->assertOk();
    $this->world->as('jonas', 'POST', "{$this->path}/works/engineering/undo")->assertOk();
    expect(($this->quantity)())->toBe('4');
});

it('is for the person who edits, while the order is open', function (): void {
    $this->world->edit($this->order, 'change', 30, ['quantity' => '8'])->assertOk();
    ($this->keep)('mine', 'edda')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['editor']]);
    ($this->keep)('mine', 'vera')->assertForbidden();
    ($this->keep)(str_repeat('x', 201))
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['note']]);
    $this->world
        ->as('jonas', 'POST', "{$this->path}/works/engineering/iterations/5/return", ['seen' => 1])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['iteration']]);
    $this->world->as('jonas', 'POST', "/orders/{$this->order}/review", ['version' => $this->world->version($this->order)])->assertOk();
    ($this->keep)('late')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['order']]);
});

it('keeps what is sent to review, and tells the released revision how many there were', function (): void {
    World::planningTakes();
    $this->world->edit($this->order, 'change', 30, ['quantity' => '8'])->assertOk();
    ($this->keep)('first')->assertOk();
    $this->world->edit($this->order, 'change', 30, ['quantity' => '4'])->assertOk();
    $this->world->as('jonas', 'POST', "/orders/{$this->order}/review", ['version' => $this->world->version($this->order)])->assertOk();
    $this->world->as('jonas', 'GET', "{$this->path}/redline")->assertJsonPath('iterations.*.note', ['Sent to review', 'first']);
    $digest = $this->world->as('helen', 'GET', "/orders/{$this->order}/review")->json('order.digest');
    $this->world->as('helen', 'POST', "/orders/{$this->order}/signature", ['password' => 'secret', 'digest' => $digest])->assertOk();
    $this->world->as('mira', 'POST', "/orders/{$this->order}/release", ['version' => $this->world->version($this->order)])->assertOk();
    expect(DB::table('revisions')->where('code', 'B')->value('iteration'))->toBe(2);
});
