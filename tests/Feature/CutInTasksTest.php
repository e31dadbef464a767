<?php

declare(strict_types=1);

use App\CutIn\Models\CutIn;
use App\People\Models\Group;
use App\Requests\Models\ChangeRequest;
use App\Tasks\Models\ChangeTask;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    Group::query()
        ->create(['code' => 'buyers', 'name' => 'Buyers'])
        ->members()
        ->sync([$this->world->people['jonas']->id]);
    $this->order = $this->world->order();
    $this->request = ChangeRequest::query()->firstOrFail();
    $row = static fn(string $kind, string $what, int $day, string $item = '', string $document = ''): array => [
        'plant' => $item === '' ? '' : 'Weir',
        'kind' => $kind,
        'what' => $what,
        'by' => World::day($day),
        'item' => $item,
        'document' => $document,
        'quantity' => $kind === 'order' ? '25' : '',
        'unit' => $item === '' ? '' : 'm',
        'for' => $kind === 'order' ? World::day(30) : null,
    ];
    $this->cutIn = CutIn::query()->create([
        'request_id' => $this->request->id,
        'asked' => [],
        'found' => [],
        'planned' => [],
        'at_plants' => [],
        'to_do' => [
            $row('release', 'Release the change', 3),
            $row('order', 'Order the new part', 5, '200-0041'),
            $row('cancel', 'Cancel', 9, '200-0040', 'PO-1'),
            $row('cancel', 'Cancel', 12, '200-0040', 'PO-2'),
            $row('cut_in', 'Cut in', 30),
        ],
        'chosen_on' => World::day(30),
        'reason' => 'Used up by then.',
        'person_id' => $this->world->people['mira']->id,
        'chosen_at' => now(),
    ]);
    $this->make = fn(array $to, ?string $change = null, string $by = 'mira'): TestResponse => $this->world->only(
        $by,
        'POST',
        '/changes/' . ($change ?? $this->order) . '/tasks/cut-in',
        [
            'cut_in' => $this->cutIn->id,
            'to' => array_map(
                static fn(string $kind, string $name): array => ['kind' => $kind, 'to' => $name],
                array_keys($to),
                array_values($to),
            ),
        ],
    );
});

it('makes tasks of what has to be done by when, each once, whichever of its changes they are for', function (): void {
    ($this->make)(['order' => 'group:buyers', 'cancel' => 'group:buyers'])
        ->assertOk()
        ->assertJsonPath('version', 3);
    $tasks = ChangeTask::query()->orderBy('id')->get();
    expect($tasks->map(static fn(ChangeTask $task): array => [$task->title, $task->due_on, $task->kind->value, $task->state->value])->all())
        ->toBe([
            ['Order the new part 25 m 200-0041, Weir', World::day(5), 'purchasing', 'open'],
            ['Cancel 200-0040 PO-1, Weir', World::day(9), 'purchasing', 'open'],
            ['Cancel 200-0040 PO-2, Weir', World::day(12), 'purchasing', 'open'],
        ])
        ->and($tasks->pluck('change')->unique()->all())
        ->toBe([$this->order]);
    ($this->make)(['cancel' => 'jonas', 'cut_in' => 'tomas'])
        ->assertOk()
        ->assertJsonPath('version', 1);
    ($this->make)(['cancel' => 'jonas'], $this->request->number)
        ->assertStatus(422)
        ->assertJsonPath('errors.to.0', 'All of them are tasks already.');
    expect(array_column($this->world->as('jonas', 'GET', '/desk')->json('tasks'), 'due_on'))->toContain(World::day(9));
});

it('refuses whole what cannot be', function (): void {
    ($this->make)(['order' => 'nobody', 'cancel' => 'jonas'])->assertStatus(422);
    ($this->make)(['tooling' => 'jonas'])->assertStatus(422);
    ($this->make)(['dance' => 'jonas'])->assertStatus(422);
    ($this->make)([])->assertStatus(422);
    ($this->make)(['order' => 'jonas'], $this->world->order())->assertNotFound();
    ($this->make)(['order' => 'jonas'], null, 'jonas')->assertForbidden();
    expect(ChangeTask::query()->count())->toBe(0);
});
