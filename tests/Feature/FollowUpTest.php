<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->world->built('200-0010', 'Weir', [[10, '200-0040', 0.5, 'm', 10], [20, '200-0042', 2, 'pc', 10], [30, '600-0014', 6, 'pc', 20]]);
    $this->order = $this->world->opened();
    $this->world->edit($this->order, 'replace', 10, ['component' => '200-0041'])->assertOk();
    $this->review = fn() => $this->world->only('jonas', 'POST', "/orders/{$this->order}/review", [
        'version' => $this->world->version($this->order),
    ]);
    $this->decide = fn(array $body, string $plant = 'Weir', string $by = 'mira') => $this->world->only(
        $by,
        'PUT',
        "/orders/{$this->order}/items/200-0010/plants/{$plant}/follow-up",
        $body + ['by' => World::day(60), 'reason' => 'Later.', 'version' => $this->world->version($this->order)],
    );
});

it('stops a change that a plant has not taken over, unless it is on record that it follows', function (): void {
    World::planningTakes();
    ($this->review)()
        ->assertStatus(422)
        ->assertJsonPath(
            'errors.plants.0',
            '200-0010 at Weir: 1 engineering line is not accounted for. Take them over, or say under which order that follows.',
        );
    $other = $this->world->follows($this->order, 'Weir');
    $row = $this->world->as('vera', 'GET', "/orders/{$this->order}/accountability")->json('0');
    expect($row['open'])
        ->toBe(1)
        ->and($row['later'])
        ->toBe([
            'order' => $other,
            'by' => World::day(60),
            'reason' => 'The old tubes are used up first.',
        ]);
    $this->world->released($this->order);
    expect(DB::table('contents')->where('kind', 'manufacturing')->pluck('code')->all())->toBe(['A']);
    $this->artisan('ledger:verify')->assertSuccessful();
});

it('is taken back, and what is signed covers it', function (): void {
    $this->world->follows($this->order, 'Weir');
    $digest = fn(): string => $this->world->as('helen', 'GET', "/orders/{$this->order}/review")->json('order.digest');
    $with = $digest();
    $back = fn() => $this->world->only('mira', 'DELETE', "/orders/{$this->order}/items/200-0010/plants/Weir/follow-up", [
        'version' => $this->world->version($this->order),
    ]);
    $back()->assertOk();
    expect($digest())->not->toBe($with);
    $back()->assertStatus(422);
    ($this->review)()->assertStatus(422);
});

it('refuses what cannot be, with its place', function (): void {
    $elsewhere = $this->world->order();
    $this->world
        ->only('mira', 'DELETE', "/orders/{$elsewhere}/items/200-0010", ['version' => $this->world->version($elsewhere)])
        ->assertOk();
    $withdrawn = $this->world->order();
    DB::table('change_orders')
        ->where('number', $withdrawn)
        ->update(['state' => 'withdrawn']);
    foreach (
        [
            [['order' => 'ECO-99999'], 'order', 'There is no order'],
            [['order' => $this->order], 'order', 'does not follow itself'],
            [['order' => $elsewhere], 'order', 'does not name 200-0010'],
            [['order' => $withdrawn], 'order', 'no longer open'],
            [['order' => $elsewhere, 'by' => World::day(-1)], 'by', 'has passed'],
            [['order' => $elsewhere, 'reason' => ''], 'reason', 'why'],
        ]
        as [$body, $place, $told]
    ) {
        $errors = ($this->decide)($body)->assertStatus(422)->json('errors');
        expect($errors[$place][0])->toContain($told);
    }
    ($this->decide)(['order' => $elsewhere], 'Moon')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['plant']]);
    ($this->decide)(['order' => $elsewhere, 'version' => 1])->assertStatus(409);
    ($this->decide)(['order' => $elsewhere], 'Weir', 'vera')->assertStatus(403);
    expect(DB::table('follow_ups')->count())->toBe(0);
});

it('asks nothing of an item that stays as it is, whatever is open there already', function (): void {
    $this->world->built('200-0001', 'Tarn', [[10, '600-0014', 1, 'pc', 10]]);
    $this->world
        ->only('mira', 'PUT', "/orders/{$this->order}/items/200-0001", [
            'outcome' => 'keep',
            'disposition' => 'use_up',
            'version' => $this->world->version($this->order),
        ])
        ->assertOk();
    $this->world->follows($this->order, 'Weir');
    expect($this->world->as('vera', 'GET', "/orders/{$this->order}/accountability")->json('*.plant'))->toBe(['Weir']);
    ($this->review)()->assertOk();
});

it('asks again once the day has passed', function (): void {
    $this->world->follows($this->order, 'Weir');
    DB::table('follow_ups')->update(['by_day' => World::day(-1)]);
    expect(($this->review)()->assertStatus(422)->json('errors.plants.0'))->toContain('which has passed');
});
