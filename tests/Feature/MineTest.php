<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

/* All that somebody is part of, not only what waits for them: what waits for others, what they watch, what is closed. */

beforeEach(function (): void {
    $this->world = new World($this);
    World::planningTakes();
    $this->mine = fn(string $who, string $query): array => array_column(
        $this->world
            ->as($who, 'GET', "/changes?sort=number&{$query}")
            ->assertOk()
            ->json('rows'),
        'number',
    );
});

it('is what one raised, is named on, has a task of, or has said something on', function (): void {
    $order = $this->world->opened();
    $request = $this->world->as('jonas', 'POST', '/requests', $this->world->request(['title' => 'Another']))->json('number');
    expect(($this->mine)('jonas', 'mine=part'))
        ->toBe([$order, $request])
        ->and(($this->mine)('helen', 'mine=part'))
        ->toBe([$order])
        ->and(($this->mine)('vera', 'mine=part'))
        ->toBe([]);
    $this->world->only('edda', 'POST', "/discussions/{$request}", ['text' => 'Is it the same?'])->assertOk();
    $this->world
        ->only('mira', 'POST', "/changes/{$request}/tasks", [
            'to' => 'tomas',
            'kind' => 'purchasing',
            'title' => 'Ask for a price',
            'text' => '',
            'priority' => 'normal',
            'checks' => [],
            'waits_for' => [],
        ])
        ->assertOk();
    expect(($this->mine)('edda', 'mine=part'))
        ->toBe([$request])
        ->and(($this->mine)('tomas', 'mine=part'))
        ->toBe([$request]);
});

it('waits for others where nothing of it is on the own desk', function (): void {
    $order = $this->world->opened();
    // jonas revises: it is his turn, and helen waits for him.
    expect(($this->mine)('jonas', 'mine=waiting'))
        ->toBe([])
        ->and(($this->mine)('helen', 'mine=waiting'))
        ->toBe([$order]);
    $this->world->edit($order, 'replace', 10, ['component' => '200-0041'])->assertOk();
    $this->world->only('jonas', 'POST', "/orders/{$order}/review", ['version' => $this->world->version($order)])->assertOk();
    expect(($this->mine)('jonas', 'mine=waiting'))
        ->toBe([$order])
        ->and(($this->mine)('helen', 'mine=waiting'))
        ->toBe([]);
    // Whatever is on the desk waits for nobody else, and the other way round: together they are all that one takes part in.
    foreach (['jonas', 'helen', 'mira'] as $who) {
        $desk = array_column(array_column($this->world->as($who, 'GET', '/desk')->json('tasks'), 'change'), 'number');
        expect(array_intersect(($this->mine)($who, 'mine=waiting'), $desk))
            ->toBe([])
            ->and(array_values(array_diff(($this->mine)($who, 'mine=part'), $desk)))
            ->toBe(($this->mine)($who, 'mine=waiting'));
    }
});

it('is watched, or closed', function (): void {
    $order = $this->world->opened();
    $this->world->only('vera', 'PUT', "/changes/{$order}/watch")->assertOk();
    expect(($this->mine)('vera', 'mine=watching'))
        ->toBe([$order])
        ->and(($this->mine)('helen', 'mine=watching'))
        ->toBe([]);
    $this->world
        ->only('mira', 'POST', "/orders/{$order}/withdrawal", ['reason' => 'Not needed.', 'version' => $this->world->version($order)])
        ->assertOk();
    expect(($this->mine)('helen', 'mine=part'))
        ->toBe([])
        ->and(($this->mine)('helen', 'mine=part&show=closed'))
        ->toBe([$order]);
    $this->world->only('mira', 'GET', '/changes?mine=everything')->assertStatus(422);
});

it('asks the database as often for many changes as for few', function (): void {
    $count = function (): int {
        $queries = 0;
        DB::listen(static function () use (&$queries): void {
            $queries++;
        });
        ($this->mine)('mira', 'mine=waiting');

        return $queries;
    };
    $this->world->opened();
    $this->world->as('jonas', 'POST', '/requests', $this->world->request());
    $few = $count();
    foreach (range(1, 4) as $_) {
        $this->world->as('jonas', 'POST', '/requests', $this->world->request());
        $this->world->order();
    }
    // Listeners add up: each counts the queries of its own round.
    expect($count())->toBe($few);
});
