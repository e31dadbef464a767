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

it('is on a day, in the calendars of all who decide, and is called off', function (): void {
    $set = fn(array $other = [], string $by = 'helen') => $this->world->only(
        $by,
        'POST',
        '/meeting/days',
        $other + ['day' => World::day(4), 'time' => '14:30', 'minutes' => 45, 'place' => 'Room Tarn'],
    );
    $set(by: 'jonas')->assertForbidden();
    foreach (
        [['day' => World::day(-1)], ['day' => 'soon'], ['time' => '25:00'], ['minutes' => 0], ['place' => str_repeat('a', 121)]]
        as $wrong
    ) {
        $set($wrong)->assertJsonValidationErrors((string) array_key_first($wrong));
    }
    expect($this->world->only('vera', 'GET', '/meeting')->json('meetings'))->toBe([]);
    $set()->assertNoContent();
    $set()->assertJsonValidationErrors(['time' => 'meets then already']);
    $set(['day' => World::day(2), 'place' => ''])->assertNoContent();
    $meetings = $this->world->only('vera', 'GET', '/meeting')->json('meetings');
    expect(array_column($meetings, 'place'))->toBe(['', 'Room Tarn']);
    $calendar = function (string $who): string {
        $address = (string) parse_url((string) $this->world->only($who, 'POST', '/calendar')->json('address'), PHP_URL_PATH);
        auth()->forgetGuards();

        return (string) $this->get($address)->getContent();
    };
    $starts = 'DTSTART:' . str_replace('-', '', World::day(4)) . 'T143000Z';
    expect($calendar('helen'))
        ->toContain($starts, 'LOCATION:Room Tarn', 'SUMMARY:Change board meeting')
        ->and(substr_count($calendar('mira'), 'BEGIN:VEVENT'))
        ->toBe(2)
        ->and($calendar('jonas'))
        ->not->toContain('VEVENT');
    $this->world->only('jonas', 'DELETE', "/meeting/days/{$meetings[1]['id']}")->assertForbidden();
    $this->world->only('mira', 'DELETE', "/meeting/days/{$meetings[1]['id']}")->assertNoContent();
    $this->world->only('mira', 'DELETE', "/meeting/days/{$meetings[1]['id']}")->assertNotFound();
    expect($calendar('helen'))
        ->not->toContain($starts)
        ->and(
            DB::table('ledger')
                ->whereIn('act', ['meeting.set', 'meeting.called_off'])
                ->count(),
        )
        ->toBe(3);
    // Called off and set again.
    $set()->assertNoContent();
});
