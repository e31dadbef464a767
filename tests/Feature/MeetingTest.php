<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->assessed = function (string $title, string $priority = 'normal'): string {
        $number = $this->world
            ->as('jonas', 'POST', '/requests', $this->world->request(['title' => $title, 'priority' => $priority]))
            ->assertOk()
            ->json('number');
        $this->world->as('mira', 'POST', "/requests/{$number}/finding", ['finding' => "{$title}: feasible.", 'version' => 1])->assertOk();

        return $number;
    };
    $this->decide = fn(string $number, string $by = 'helen', string $decision = 'approved') => $this->world->as(
        $by,
        'POST',
        "/requests/{$number}/decision",
        ['decision' => $decision, 'reason' => 'The board agrees.', 'version' => 2],
    );
});

it('lists what awaits a decision, critical first, in an order that can be arranged', function (): void {
    $one = ($this->assessed)('One');
    $two = ($this->assessed)('Two', 'critical');
    $three = ($this->assessed)('Three');
    $this->world->as('jonas', 'POST', '/requests', $this->world->request(['title' => 'Not assessed']));
    $list = fn(): array => $this->world->as('vera', 'GET', '/meeting')->assertOk()->json('awaiting.*.change.number');
    expect($list())->toBe([$two, $one, $three]);
    $arrange = fn(array $numbers, string $by = 'helen') => $this->world->as($by, 'PUT', '/meeting', ['requests' => $numbers]);
    $arrange([$three, $two, $one])
        ->assertOk()
        ->assertJsonPath('awaiting.*.change.number', [$three, $two, $one]);
    $arrange([$three, $two], 'jonas')->assertForbidden();
    $arrange([$three, $three])->assertStatus(422);
    $arrange([])->assertStatus(422);
    // What is decided leaves the list and is told below; who still names it is told.
    ($this->decide)($two)->assertOk();
    expect($list())->toBe([$three, $one]);
    $this->world
        ->as('vera', 'GET', '/meeting')
        ->assertJsonPath('decided.0.change.number', $two)
        ->assertJsonPath('decided.0.decided_by', 'Helen')
        ->assertJsonPath('decided.0.decision_reason', 'The board agrees.');
    $arrange([$two, $one, $three])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['requests']]);
    expect($list())
        ->toBe([$three, $one])
        ->and(($this->assessed)('Four', 'critical'))
        ->toBe($this->world->as('vera', 'GET', '/meeting')->json('awaiting.2.change.number'));
});

it('lets nobody approve what they raised', function (): void {
    $number = $this->world->as('helen', 'POST', '/requests', $this->world->request())->json('number');
    $this->world->as('mira', 'POST', "/requests/{$number}/finding", ['finding' => 'Feasible.', 'version' => 1])->assertOk();
    ($this->decide)($number)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['decision']]);
    ($this->decide)($number, 'helen', 'returned')->assertOk();
});

it('asks as few questions for many as for one', function (): void {
    ($this->assessed)('One');
    $count = function (): int {
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->world->as('vera', 'GET', '/meeting')->assertOk();

        return count(DB::getQueryLog());
    };
    $few = $count();
    ($this->assessed)('Two');
    ($this->assessed)('Three');
    expect($count())->toBe($few);
});
