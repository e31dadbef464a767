<?php

declare(strict_types=1);

use App\Tasks\Models\ChangeTask;
use Carbon\CarbonImmutable;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->hold = fn(string $order, string $reason = 'The supplier is on strike.', string $by = 'mira'): TestResponse => $this->world->only(
        $by,
        'POST',
        "/orders/{$order}/hold",
        ['reason' => $reason, 'version' => $this->world->version($order)],
    );
    $this->goOn = fn(string $order, bool $moves): TestResponse => $this->world->only('mira', 'DELETE', "/orders/{$order}/hold", [
        'reason' => 'It is over.',
        'moves' => $moves,
        'version' => $this->world->version($order),
    ]);
    $this->todo = fn(string $who): array => array_column($this->world->as($who, 'GET', '/desk')->json('tasks'), 'todo');
});

it('stops editing, review, signing and release until it goes on', function (): void {
    $order = $this->world->opened();
    $version = fn(): array => ['version' => $this->world->version($order)];
    $why = "{$order} is on hold: The supplier is on strike.";
    ($this->hold)($order, '')->assertStatus(422);
    ($this->hold)($order, by: 'jonas')->assertForbidden();
    ($this->hold)($order)->assertOk();
    ($this->hold)($order)->assertStatus(422)->assertJsonPath('errors.order.0', $why);
    expect(($this->todo)('jonas'))->not->toContain('Revise')->and(($this->todo)('mira'))->toContain('On hold: let it go on');
    $this->world->edit($order, 'replace', 10, ['component' => '200-0041'])->assertStatus(422);
    $this->world->only('mira', 'PATCH', "/orders/{$order}", ['title' => 'Other', ...$version()])->assertStatus(422);
    $this->world
        ->only('jonas', 'POST', "/orders/{$order}/review", $version())
        ->assertStatus(422)
        ->assertJsonPath('errors.order.0', $why);
    ($this->goOn)($order, false)->assertOk();
    ($this->goOn)($order, false)->assertStatus(422);
    $this->world->edit($order, 'replace', 10, ['component' => '200-0041'])->assertOk();
    $this->world->only('jonas', 'POST', "/orders/{$order}/review", $version())->assertOk();

    ($this->hold)($order)->assertOk();
    $digest = $this->world->as('helen', 'GET', "/orders/{$order}/review")->json('order.digest');
    $sign = fn(): TestResponse => $this->world->only('helen', 'POST', "/orders/{$order}/signature", [
        'password' => 'secret',
        'digest' => $digest,
    ]);
    $sign()->assertStatus(422)->assertJsonPath('errors.order.0', $why);
    $row = $this->world->as('vera', 'GET', "/changes?type=order&words={$order}")->json('rows.0');
    expect(($this->todo)('helen'))->not->toContain('Read and sign')->and($row['waits_for'])->toBe('on hold');
    ($this->goOn)($order, false)->assertOk();
    $sign()->assertOk();
    ($this->hold)($order)->assertOk();
    $this->world
        ->only('mira', 'POST', "/orders/{$order}/release", $version())
        ->assertStatus(422)
        ->assertJsonPath('errors.order.0', $why);
    expect($this->world->as('vera', 'GET', "/dossiers/{$order}")->json('order.on_hold.by'))->toBe('Mira');
});

it('moves what is due by the days that it was on hold, where that is chosen', function (bool $moves): void {
    $order = $this->world->opened();
    $task = $this->world
        ->only('mira', 'POST', "/changes/{$order}/tasks", [
            'to' => 'jonas',
            'kind' => 'other',
            'title' => 'Draw the tube',
            'text' => '',
            'due_on' => World::day(10),
            'priority' => 'normal',
            'checks' => [],
            'waits_for' => [],
        ])
        ->json('number');
    $due = World::day(10);
    ($this->hold)($order)->assertOk();
    $this->travelTo(CarbonImmutable::now()->addDays(6));
    ($this->goOn)($order, $moves)->assertOk();
    $day = CarbonImmutable::parse($due)
        ->addDays($moves ? 6 : 0)
        ->toDateString();
    expect(ChangeTask::query()->where('number', $task)->value('due_on'))->toBe($day);
})->with([true, false]);
