<?php

declare(strict_types=1);

use App\Orders\Models\ChangeOrder;
use App\People\Models\Group;
use App\People\Models\Person;
use App\People\ShippedRole;
use App\Tasks\Models\ChangeTask;
use Illuminate\Support\Facades\Http;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    Http::fake([
        '*/supply' => Http::response(['rows' => []]),
        '*/items/unknown' => Http::response(['unknown' => []]),
        '*/hand-overs' => Http::response([]),
    ]);
    $this->world = new World($this);
    $this->world->people['nils']->update(['roles' => [ShippedRole::Administrator->value]]);
    $this->world->people['tomas']->update(['roles' => [ShippedRole::BoardMember->value]]);
    Group::query()
        ->create(['code' => 'buyers', 'name' => 'Buyers'])
        ->members()
        ->sync(
            Person::query()
                ->whereIn('login', ['vera', 'edda'])
                ->pluck('id'),
        );
    $this->step = static fn(array $other): array => $other + [
        'needed' => 1,
        'meaning' => 'approved',
        'with_password' => false,
        'due_days' => null,
        'conditions' => [],
        'back_to' => [0],
    ];
    $this->task = static fn(array $other): array => $other + [
        'kind' => 'design',
        'to' => 'edda',
        'holds' => true,
        'due_days' => null,
        'checks' => [],
        'edits' => [],
    ];
    $this->beside = fn(): array => ($this->task)(['stage' => 2, 'title' => 'Beside']);
    $this->set = fn(array $other = [], string $code = 'usual'): TestResponse => $this->world->only(
        'nils',
        'PUT',
        "/approval-paths/{$code}",
        $other + [
            'name' => 'Usual',
            'steps' => [
                ($this->step)(['name' => 'Quality', 'stage' => 1, 'who' => ['tomas'], 'checks' => ['Limits', 'Labels']]),
                ($this->step)(['name' => 'Approval', 'stage' => 3, 'who' => ['role:signer']]),
            ],
            'tasks' => [
                ($this->task)(['stage' => 0, 'title' => 'Second clamp', 'edits' => ['engineering'], 'due_days' => 2]),
                ($this->task)(['stage' => 0, 'title' => 'Note it', 'to' => 'role:editor', 'holds' => false]),
                ($this->task)(['stage' => 2, 'title' => 'Ask for a price', 'to' => 'group:buyers', 'checks' => ['Price']]),
                ($this->task)(['stage' => null, 'title' => 'Show the line', 'to' => 'role:planner']),
            ],
            'sends_itself' => true,
            'retired' => false,
        ],
    );
    $this->onPath = function (): string {
        ($this->set)()->assertOk();
        $order = $this->world->opened();
        $this->world->edit($order, 'replace', 10, ['component' => '200-0041'])->assertOk();
        $this->world
            ->only('mira', 'PATCH', "/orders/{$order}", ['path' => 'usual', 'version' => $this->world->version($order)])
            ->assertOk();

        return $order;
    };
    $this->number = static fn(string $title): string => ChangeTask::query()->where('title', $title)->valueOrFail('number');
    $this->does = fn(string $who, string $task, string $what, array $body = []): TestResponse => $this->world->only(
        $who,
        'POST',
        '/tasks/' . ($this->number)($task) . "/{$what}",
        $body,
    );
    $this->sign = function (string $order, string $by, array $checks = []): TestResponse {
        $digest = $this->world->only($by, 'GET', "/orders/{$order}/review")->json('order.digest');

        return $this->world->only($by, 'POST', "/orders/{$order}/signature", ['digest' => $digest, 'checks' => $checks]);
    };
    $this->path = fn(string $order): array => $this->world->only('mira', 'GET', "/orders/{$order}/review")->json('order.path');
});

it('makes the tasks of a path when their time has come, each once, and goes on by itself with the last', function (): void {
    $order = ($this->onPath)();
    $titles = static fn(): array => ChangeTask::query()->orderBy('id')->pluck('title')->all();
    expect($titles())
        ->toBe(['Second clamp', 'Note it'])
        ->and(ChangeTask::query()->with('person')->get()->map(fn(ChangeTask $one): string => $one->person->login)->all())
        ->toBe(['edda', 'jonas']);
    // Twice the same plan makes nothing twice.
    $this->world->only('mira', 'PATCH', "/orders/{$order}", ['title' => 'Other', 'version' => $this->world->version($order)])->assertOk();
    expect($titles())->toHaveCount(2);
    // It edits what the order changes, and review waits for it.
    $this->world->edit($order, 'change', 20, ['quantity' => '3'], by: 'edda')->assertOk();
    $this->world
        ->only('mira', 'POST', "/orders/{$order}/review", ['version' => $this->world->version($order)])
        ->assertJsonValidationErrors(['tasks' => 'Second clamp']);
    ($this->does)('edda', 'Second clamp', 'done', ['text' => 'There.'])->assertOk();
    expect($this->world->state($order))->toBe('in_review');
    // Signed, it waits at a stage in which nobody signs.
    ($this->sign)($order, 'tomas', ['Limits', 'Labels'])->assertOk();
    expect($titles())
        ->toBe(['Second clamp', 'Note it', 'Ask for a price'])
        ->and(($this->path)($order))
        ->toMatchArray(['stage' => 2, 'waits_for' => ['Ask for a price'], 'stuck' => []]);
    ($this->sign)($order, 'helen')->assertStatus(422);
    ($this->does)('edda', 'Ask for a price', 'claim')->assertOk();
    $this->world->only('edda', 'PUT', '/tasks/' . ($this->number)('Ask for a price') . '/checks/0', ['ticked' => true])->assertOk();
    ($this->does)('edda', 'Ask for a price', 'done', ['text' => '3.20'])->assertOk();
    expect(($this->path)($order))->toMatchArray(['stage' => 3, 'waits_for' => []]);
    ($this->sign)($order, 'helen')->assertOk();
    expect($this->world->state($order))->toBe('signed')->and($titles())->toHaveCount(3);
    $this->world->only('nils', 'PUT', '/responsible/plant/Weir', ['who' => 'group:buyers'])->assertOk();
    $this->world->only('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])->assertOk();
    expect($titles()[3])
        ->toBe('Show the line')
        ->and(ChangeTask::query()->latest('id')->firstOrFail()->group?->code)
        ->toBe('buyers');
});

it('is for the editor where whom it is for may not edit, and the next stage begins when it is done', function (): void {
    ($this->set)([
        'tasks' => [
            ($this->task)(['stage' => 0, 'title' => 'Second clamp', 'to' => 'helen', 'edits' => ['engineering']]),
            ($this->task)(['stage' => 2, 'title' => 'Ask for a price', 'to' => 'edda']),
        ],
    ])->assertOk();
    $order = $this->world->opened();
    $this->world->edit($order, 'replace', 10, ['component' => '200-0041'])->assertOk();
    $this->world->only('mira', 'PATCH', "/orders/{$order}", ['path' => 'usual', 'version' => $this->world->version($order)])->assertOk();
    expect(ChangeTask::query()->with('person')->firstOrFail()->person?->login)->toBe('jonas');
    ($this->does)('jonas', 'Second clamp', 'done', ['text' => 'There.'])->assertOk();
    ($this->sign)($order, 'tomas', ['Limits', 'Labels'])->assertOk();
    $day = World::day(3);
    $this->travel(3)->days();
    ($this->does)('edda', 'Ask for a price', 'done', ['text' => '3.20'])->assertOk();
    $approval = ($this->path)($order)['steps'][1];
    expect(substr((string) $approval['since'], 0, 10))->toBe($day);
});

it('waits again for a task that is reopened, and catches up after a hold', function (): void {
    $order = ($this->onPath)();
    ($this->does)('edda', 'Second clamp', 'done', ['text' => 'There.'])->assertOk();
    ($this->sign)($order, 'tomas', ['Limits', 'Labels'])->assertOk();
    $task = ($this->number)('Ask for a price');
    $done = function () use ($task): void {
        $this->world->only('edda', 'PUT', "/tasks/{$task}/checks/0", ['ticked' => true])->assertOk();
        ($this->does)('edda', 'Ask for a price', 'done', ['text' => '3.20'])->assertOk();
    };
    $turn = fn(): ?string => ChangeOrder::query()->where('number', $order)->firstOrFail()->row()->waits_for;
    ($this->does)('edda', 'Ask for a price', 'claim')->assertOk();
    $done();
    expect($turn())->toBe('Helen');
    ($this->does)('mira', 'Ask for a price', 'reopening', ['text' => 'Another maker too.'])->assertOk();
    expect($turn())
        ->toBeNull()
        ->and(($this->path)($order)['waits_for'])
        ->toBe(['Ask for a price']);
    $hold = fn(string $method): TestResponse => $this->world->only('mira', $method, "/orders/{$order}/hold", [
        'reason' => 'A sample is late.',
        'moves' => false,
        'version' => $this->world->version($order),
    ]);
    $hold('POST')->assertOk();
    ($this->does)('edda', 'Ask for a price', 'done', ['text' => '3.10'])->assertOk();
    expect($turn())->toBe('on hold');
    $hold('DELETE')->assertOk();
    expect($turn())->toBe('Helen');
    ($this->sign)($order, 'helen')->assertOk();
    expect($this->world->state($order))->toBe('signed');
});

it('says why it did not go to review by itself, and keeps the task done', function (): void {
    ($this->set)()->assertOk();
    $order = $this->world->opened();
    $this->world->only('mira', 'PATCH', "/orders/{$order}", ['path' => 'usual', 'version' => $this->world->version($order)])->assertOk();
    ($this->does)('edda', 'Second clamp', 'done', ['text' => 'Nothing to be done.'])->assertOk();
    expect($this->world->state($order))
        ->toBe('revising')
        ->and(ChangeTask::query()->where('title', 'Second clamp')->valueOrFail('state')->value)
        ->toBe('done');
    $acts = array_column($this->world->only('mira', 'GET', "/dossiers/{$order}")->json('ledger'), 'act');
    expect($acts)->toContain('order.waits');
});

it('is signed only with its check list ticked, which stays on record', function (): void {
    $order = ($this->onPath)();
    ($this->does)('edda', 'Second clamp', 'done', ['text' => 'There.'])->assertOk();
    ($this->sign)($order, 'tomas', ['Limits'])->assertJsonValidationErrors(['checks' => 'Not ticked yet: Labels.']);
    expect(($this->path)($order)['steps'][0]['checks'])->toBe(['Limits', 'Labels']);
    ($this->sign)($order, 'tomas', ['Limits', 'Labels'])->assertOk();
    $signed = collect($this->world->only('mira', 'GET', "/dossiers/{$order}")->json('ledger'))->firstWhere('act', 'order.signed');
    expect($signed['details']['checks'])->toBe(['Limits', 'Labels']);
});

it('asks the owner of the items, the planner of the plant and the originator', function (): void {
    $steps = array_map(
        fn(string $role, int $at): array => ($this->step)(['name' => $role, 'stage' => $at + 1, 'who' => ["role:{$role}"]]),
        ['owner', 'planner', 'originator'],
        [0, 1, 2],
    );
    ($this->set)(['steps' => $steps, 'tasks' => []])->assertOk();
    $order = $this->world->opened();
    $this->world->people['jonas']->update(['roles' => [ShippedRole::DesignEngineer->value, ShippedRole::BoardMember->value]]);
    $this->world
        ->only('mira', 'PATCH', "/orders/{$order}", ['editor' => 'edda', 'path' => 'usual', 'version' => $this->world->version($order)])
        ->assertOk();
    expect(array_column(($this->path)($order)['steps'], 'people'))->toBe([[], [], ['Jonas']]);
    $this->world->only('nils', 'PUT', '/responsible/category/pump', ['who' => 'helen'])->assertOk();
    $this->world->only('nils', 'PUT', '/responsible/plant/Weir', ['who' => 'tomas'])->assertOk();
    expect(array_column(($this->path)($order)['steps'], 'people'))->toBe([['Helen'], ['Tomas'], ['Jonas']]);
    $this->world->only('nils', 'PUT', '/responsible/category/pump', ['who' => ''])->assertOk();
    expect(($this->path)($order)['steps'][0]['people'])->toBe([]);
    $this->world->only('nils', 'PUT', '/responsible/category/nothing', ['who' => 'helen'])->assertNotFound();
    $this->world->only('nils', 'PUT', '/responsible/plant/Tarn', ['who' => 'nobody'])->assertJsonValidationErrors('who');
    $this->world->only('mira', 'PUT', '/responsible/plant/Tarn', ['who' => 'helen'])->assertForbidden();
});

it('is chosen by rule from what an order changes, until somebody chooses by hand', function (): void {
    $plain = ['steps' => [($this->step)(['name' => 'Approval', 'stage' => 1, 'who' => ['role:signer']])], 'tasks' => []];
    ($this->set)(['chosen_when' => [], 'rank' => 9, 'name' => 'Any'] + $plain, 'any')->assertOk();
    ($this->set)(
        ['chosen_when' => [['fact' => 'category', 'values' => ['pump']], ['fact' => 'outcome', 'values' => ['revise']]], 'rank' => 1] +
            $plain,
        'pumps',
    )->assertOk();
    $order = $this->world->order();
    $code = fn(): ?string => ChangeOrder::query()->with('path')->where('number', $order)->firstOrFail()->path?->code;
    expect($code())->toBe('any')->and(($this->path)($order)['by_rule'])->toBeTrue();
    $this->world
        ->only('mira', 'PUT', "/orders/{$order}/items/200-0010", [
            'outcome' => 'revise',
            'disposition' => 'use_up',
            'version' => $this->world->version($order),
        ])
        ->assertOk();
    expect($code())->toBe('pumps');
    $plan = fn(?string $path): TestResponse => $this->world->only('mira', 'PATCH', "/orders/{$order}", [
        'path' => $path,
        'version' => $this->world->version($order),
    ]);
    $plan(null)->assertOk();
    expect($code())->toBeNull()->and(($this->path)($order)['by_rule'])->toBeFalse();
    $plan('rule')->assertOk();
    expect($code())->toBe('pumps');
    // What is out of use is chosen no longer.
    ($this->set)(['chosen_when' => [], 'rank' => 1, 'retired' => true, 'version' => 1] + $plain, 'pumps')->assertOk();
    $plan('rule')->assertOk();
    expect($code())->toBe('any');
});

it('leaves what is to be done on a path with the path, and goes nowhere by that', function (): void {
    $order = ($this->onPath)();
    ($this->set)(
        ['name' => 'Other', 'tasks' => [($this->task)(['stage' => 0, 'title' => 'Weigh it']), ($this->beside)()]],
        'other',
    )->assertOk();
    $plan = fn(?string $path): TestResponse => $this->world->only('mira', 'PATCH', "/orders/{$order}", [
        'path' => $path,
        'version' => $this->world->version($order),
    ]);
    $states = static fn(): array => ChangeTask::query()
        ->orderBy('id')
        ->get()
        ->map(static fn(ChangeTask $one): string => "{$one->title}: {$one->state->value}")
        ->all();
    $plan('other')->assertOk();
    expect($states())->toBe(['Second clamp: withdrawn', 'Note it: withdrawn', 'Weigh it: claimed']);
    $plan(null)->assertOk();
    expect($states()[2])->toBe('Weigh it: withdrawn')->and($this->world->state($order))->toBe('revising');
});

it('edits by its task what is named on the order later, too', function (): void {
    $order = ($this->onPath)();
    $edits = fn(): array => array_column(
        $this->world->only('edda', 'GET', '/tasks/' . ($this->number)('Second clamp'))->json('edits'),
        'item',
    );
    expect($edits())->toBe(['200-0010']);
    $name = fn(string $outcome): TestResponse => $this->world->only('mira', 'PUT', "/orders/{$order}/items/200-0001", [
        'outcome' => $outcome,
        'disposition' => 'use_up',
        'version' => $this->world->version($order),
    ]);
    $name('keep')->assertOk();
    expect($edits())->toBe(['200-0010']);
    $name('revise')->assertOk();
    $name('revise')->assertOk();
    expect($edits())->toBe(['200-0001', '200-0010']);
});

it('makes the tasks of a path that a rule chooses while the order is revised, and says so on record', function (): void {
    ($this->set)(['chosen_when' => [['fact' => 'category', 'values' => ['pump']]], 'rank' => 1])->assertOk();
    ($this->set)(
        [
            'chosen_when' => [['fact' => 'priority', 'values' => ['low']]],
            'rank' => 0,
            'name' => 'Low',
            'tasks' => [($this->task)(['stage' => 0, 'title' => 'Think again']), ($this->beside)()],
        ],
        'low',
    )->assertOk();
    $order = $this->world->opened();
    expect(ChangeTask::query()->pluck('title')->all())->toContain('Second clamp');
    $this->world->only('mira', 'PATCH', "/orders/{$order}", ['priority' => 'low', 'version' => $this->world->version($order)])->assertOk();
    expect(ChangeTask::query()->where('title', 'Think again')->valueOrFail('state')->value)
        ->toBe('claimed')
        ->and(ChangeTask::query()->where('title', 'Second clamp')->valueOrFail('state')->value)
        ->toBe('withdrawn');
    $acts = array_column($this->world->only('mira', 'GET', "/dossiers/{$order}")->json('ledger'), 'act');
    expect(array_count_values($acts)['order.path_chosen'])->toBe(2);
});

it('refuses a rule or a task that cannot be so, at its place', function (array $other, string $place): void {
    ($this->set)([], 'rule')->assertJsonValidationErrors(['code' => 'stands for the choice by rule']);
    ($this->set)($other)->assertJsonValidationErrors($place);
    expect($this->world->only('nils', 'GET', '/approval-paths')->json())->toBe([]);
})->with([
    'nobody of this name' => [
        fn() => ['tasks' => [($this->task)(['stage' => 0, 'title' => 'x', 'to' => 'nobody']), ($this->beside)()]],
        'tasks.0.to',
    ],
    'no title' => [fn() => ['tasks' => [($this->task)(['stage' => 0, 'title' => '']), ($this->beside)()]], 'tasks.0.title'],
    'an edit in review' => [
        fn() => ['tasks' => [($this->task)(['stage' => 1, 'title' => 'x', 'edits' => ['engineering']])]],
        'tasks.0.edits',
    ],
    'after the last signature' => [fn() => ['tasks' => [($this->task)(['stage' => 4, 'title' => 'x'])]], 'tasks.0.stage'],
    'an amount that is none' => [fn() => ['chosen_when' => [['fact' => 'one_time_cost', 'values' => ['much']]]], 'chosen_when.0.values'],
    'a kind that is none' => [
        fn() => ['tasks' => [($this->task)(['stage' => 0, 'title' => 'x', 'kind' => 'nothing']), ($this->beside)()]],
        'tasks.0.kind',
    ],
]);
