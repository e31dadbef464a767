<?php

declare(strict_types=1);

use App\People\Models\Group;
use App\People\Models\Person;
use App\People\ShippedRole;
use App\Tasks\Models\ChangeTask;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->buyers = function (string ...$logins): void {
        $group = Group::query()->create(['code' => 'buyers', 'name' => 'Buyers']);
        $group->members()->sync(Person::query()->whereIn('login', $logins)->pluck('id'));
    };
    ($this->buyers)('jonas', 'helen');
    $this->change = $this->world->as('jonas', 'POST', '/requests', $this->world->request())->json('number');
    $this->make = fn(array $other = []): TestResponse => $this->world->only(
        'mira',
        'POST',
        "/changes/{$this->change}/tasks",
        $other + [
            'to' => 'group:buyers',
            'kind' => 'purchasing',
            'title' => 'Ask the maker for a price',
            'text' => '',
            'priority' => 'normal',
            'checks' => [],
            'waits_for' => [],
        ],
    );
    $this->task = fn(array $other = []): string => ($this->make)($other)->assertOk()->json('number');
    $this->does = fn(string $who, string $task, string $what, array $body = []): TestResponse => $this->world->only(
        $who,
        'POST',
        "/tasks/{$task}/{$what}",
        $body,
    );
    $this->page = fn(string $task, string $who = 'mira'): array => $this->world
        ->as($who, 'GET', "/tasks/{$task}")
        ->assertOk()
        ->json();
    $this->desk = fn(string $who): array => array_values(
        array_filter(array_column($this->world->as($who, 'GET', '/desk')->json('tasks'), 'task')),
    );
});

it('is on the desk of all of its group, then of who has claimed it alone', function (): void {
    $task = ($this->task)();
    expect(($this->desk)('jonas'))
        ->toBe([$task])
        ->and(($this->desk)('helen'))
        ->toBe([$task])
        ->and(($this->desk)('mira'))
        ->toBe([]);
    ($this->does)('helen', $task, 'claim')->assertOk();
    expect(($this->desk)('jonas'))
        ->toBe([])
        ->and(($this->desk)('helen'))
        ->toBe([$task]);
    ($this->does)('jonas', $task, 'claim')->assertStatus(422)->assertJsonPath('errors.task.0', 'Somebody has claimed it already.');
    ($this->does)('helen', $task, 'hand-back', ['text' => 'On leave.'])->assertOk();
    expect(($this->desk)('jonas'))->toBe([$task]);
    ($this->does)('jonas', $task, 'claim')->assertOk();
    ($this->does)('jonas', $task, 'done', ['text' => '12.40 each from 100 on.'])->assertOk();
    $page = ($this->page)($task);
    expect(($this->desk)('jonas'))
        ->toBe([])
        ->and([$page['task']['state'], $page['task']['holder'], $page['result']])
        ->toBe(['done', 'Jonas', '12.40 each from 100 on.'])
        ->and(DB::table('ledger')->where('subject', $this->change)->where('act', 'like', 'task.%')->orderBy('number')->pluck('act')->all())
        ->toBe(['task.made', 'task.claimed', 'task.handed_back', 'task.claimed', 'task.done']);
});

it('is not done before its check list is ticked by who has it, and the tasks before it are done', function (): void {
    $first = ($this->task)(['to' => 'helen', 'title' => 'Draw the tube']);
    $task = ($this->task)(['to' => 'jonas', 'checks' => ['Price', 'Lead time'], 'waits_for' => [$first]]);
    expect(($this->page)($task, 'jonas')['lacks'])->toBe("It waits for {$first} Draw the tube.");
    ($this->does)('helen', $first, 'done', ['text' => ''])->assertOk();
    $tick = fn(string $who, int $place, bool $ticked = true): TestResponse => $this->world->only(
        $who,
        'PUT',
        "/tasks/{$task}/checks/{$place}",
        ['ticked' => $ticked],
    );
    $tick('helen', 0)->assertStatus(422);
    $tick('jonas', 0)->assertOk();
    ($this->does)('jonas', $task, 'done', ['text' => ''])
        ->assertStatus(422)
        ->assertJsonPath('errors.checks.0', 'Not ticked yet: Lead time.');
    $tick('jonas', 1)->assertOk();
    $tick('jonas', 0, false)->assertOk();
    $tick('jonas', 0)->assertOk();
    expect(($this->page)($task)['checks'][0]['ticked_by'])->toBe('Jonas');
    ($this->does)('jonas', $task, 'done', ['text' => ''])->assertOk();
});

it('is planned anew, and keeps what is ticked', function (): void {
    $first = ($this->task)(['title' => 'Draw the tube']);
    $task = ($this->task)(['to' => 'jonas', 'checks' => ['Price', 'Lead time']]);
    $this->world->only('jonas', 'PUT', "/tasks/{$task}/checks/1", ['ticked' => true])->assertOk();
    $plan = fn(array $other = []): TestResponse => $this->world->only(
        'mira',
        'PATCH',
        "/tasks/{$task}",
        $other + [
            'kind' => 'drawing',
            'title' => 'Price and drawing',
            'text' => 'Both sizes.',
            'due_on' => World::day(-2),
            'priority' => 'high',
            'estimate_hours' => 6,
            'checks' => ['Lead time', 'Drawing'],
            'waits_for' => [$first],
            'version' => ChangeTask::query()->where('number', $task)->value('version'),
        ],
    );
    $plan()->assertOk();
    $page = ($this->page)($task);
    expect(array_map(static fn(array $check): array => [$check['text'], $check['ticked_by']], $page['checks']))
        ->toBe([['Lead time', 'Jonas'], ['Drawing', null]])
        ->and([$page['task']['overdue'], $page['task']['estimate_hours'], $page['task']['waits_for']])
        ->toBe([true, 6, [$first]]);
    $plan(['version' => 1])->assertStatus(409);
    $plan(['waits_for' => [$task]])
        ->assertStatus(422)
        ->assertJsonPath('errors.waits_for.0', 'The task would wait for itself.');
    $plan(['waits_for' => ['T-99999']])->assertStatus(422);
    $plan(['checks' => ['One', 'One']])->assertStatus(422);
});

it('goes to others, ends, and is opened again, by who may', function (): void {
    $task = ($this->task)();
    ($this->does)('jonas', $task, 'hand-on', ['to' => 'helen', 'text' => ''])
        ->assertStatus(422)
        ->assertJsonPath('errors.task.0', 'Nobody has claimed it.');
    ($this->does)('mira', $task, 'hand-on', ['to' => 'helen', 'text' => 'She knows the maker.'])->assertOk();
    expect(($this->desk)('helen'))
        ->toBe([$task])
        ->and(($this->desk)('jonas'))
        ->toBe([]);
    ($this->does)('helen', $task, 'withdrawal', ['text' => 'No need.'])->assertForbidden();
    ($this->does)('mira', $task, 'withdrawal', ['text' => ''])->assertStatus(422);
    ($this->does)('mira', $task, 'withdrawal', ['text' => 'No need.'])->assertOk();
    expect(($this->desk)('helen'))
        ->toBe([])
        ->and(($this->page)($task)['may'])
        ->toBe(['reopen', 'comment']);
    ($this->does)('mira', $task, 'reopening', ['text' => 'After all.'])->assertOk();
    expect(($this->desk)('helen'))->toBe([$task]);
    ($this->does)('helen', $task, 'comments', ['text' => 'Written to the maker.'])->assertOk();
    expect(($this->page)($task)['comments'][0]['text'])->toBe('Written to the maker.');
    ($this->does)('vera', $task, 'comments', ['text' => 'Hm.'])->assertForbidden();
});

it('says at its place what cannot be', function (array $wrong, string $place): void {
    ($this->make)($wrong)
        ->assertStatus(422)
        ->assertJsonPath("errors.{$place}", fn(mixed $said): bool => $said !== null);
    expect(ChangeTask::query()->count())->toBe(0);
})->with([
    'for nobody' => [['to' => ''], 'to'],
    'for somebody unknown' => [['to' => 'nobody'], 'to'],
    'for a group unknown' => [['to' => 'group:none'], 'to'],
    'without a title' => [['title' => ' '], 'title'],
    'of no kind' => [['kind' => 'magic'], 'kind'],
    'by no day' => [['due_on' => '31.12.'], 'due_on'],
]);

it('is for a group with somebody in it', function (): void {
    Person::query()
        ->whereIn('login', ['jonas', 'helen'])
        ->update(['active' => false]);
    ($this->make)()->assertStatus(422)->assertJsonPath('errors.to.0', 'Nobody is in this group.');
});

it('keeps an order from being closed, and ends with a change that is given up', function (): void {
    $order = $this->world->order();
    $task = $this->world
        ->only('mira', 'POST', "/changes/{$order}/tasks", [
            'to' => 'jonas',
            'kind' => 'other',
            'title' => 'Tell the customer',
            'text' => '',
            'priority' => 'normal',
            'checks' => [],
            'waits_for' => [],
        ])
        ->json('number');
    $this->world
        ->only('mira', 'POST', "/orders/{$order}/withdrawal", ['reason' => 'Not needed.', 'version' => $this->world->version($order)])
        ->assertOk();
    expect(($this->page)($task)['task']['state'])->toBe('withdrawn');
    ($this->does)('mira', $task, 'reopening', ['text' => 'Why not.'])
        ->assertStatus(422)
        ->assertJsonPath('errors.change.0', "{$order} has ended.");

    Http::fake(['*/hand-overs' => Http::response([]), '*/items/unknown' => Http::response(['unknown' => []])]);
    $released = $this->world->opened();
    $this->world->edit($released, 'replace', 10, ['component' => '200-0041'])->assertOk();
    $this->world->released($released);
    DB::table('handovers')->update(['state' => 'taken']);
    $this->change = $released;
    $open = ($this->task)(['to' => 'jonas']);
    $close = fn(): TestResponse => $this->world->only('mira', 'POST', "/orders/{$released}/closing", [
        'version' => $this->world->version($released),
    ]);
    $close()
        ->assertStatus(422)
        ->assertJsonPath('errors.tasks.0', "Not done yet: {$open}.");
    ($this->does)('jonas', $open, 'done', ['text' => ''])->assertOk();
    $close()->assertOk();
    ($this->make)()
        ->assertStatus(422)
        ->assertJsonPath('errors.change.0', "{$released} has ended.");
});

it('asks the database as often for thirty tasks as for three', function (): void {
    $count = function (): int {
        DB::enableQueryLog();
        $this->world->as('jonas', 'GET', "/changes/{$this->change}/tasks")->assertOk();
        $this->world->as('jonas', 'GET', '/desk')->assertOk();
        $asked = count(DB::getQueryLog());
        DB::disableQueryLog();
        DB::flushQueryLog();

        return $asked;
    };
    foreach (range(1, 3) as $at) {
        ($this->task)(['title' => "Task {$at}", 'checks' => ['One', 'Two']]);
    }
    $few = $count();
    foreach (range(4, 30) as $at) {
        ($this->task)(['title' => "Task {$at}", 'checks' => ['One', 'Two']]);
    }
    expect($count())->toBeLessThanOrEqual($few);
});

it('sets groups up', function (): void {
    $this->world->people['mira']->update(['roles' => [ShippedRole::Administrator->value]]);
    $set = fn(array $other, string $code = 'planners'): TestResponse => $this->world->only(
        'mira',
        'PUT',
        "/groups/{$code}",
        $other + ['name' => 'Planners', 'members' => ['helen'], 'retired' => false],
    );
    $set([])->assertOk()->assertJsonPath('version', 1);
    $set([])->assertStatus(422)->assertJsonPath('errors.code.0', 'There is a group planners already.');
    $set(['version' => 1, 'members' => ['helen', 'jonas'], 'name' => 'Planners of Weir'])->assertOk();
    $set(['version' => 1])->assertStatus(409);
    $set(['version' => 2, 'members' => ['nobody']])->assertStatus(422);
    $this->world->only('jonas', 'PUT', '/groups/planners', ['name' => 'X', 'members' => [], 'retired' => false])->assertForbidden();
    expect($this->world->as('vera', 'GET', '/groups')->json('1'))->toEqual([
        'code' => 'planners',
        'name' => 'Planners of Weir',
        'retired' => false,
        'version' => 2,
        'members' => ['helen', 'jonas'],
        'names' => ['Helen', 'Jonas'],
    ]);
});

it('holds its order back from release where that is said, and from nothing before', function (): void {
    World::planningTakes();
    $this->change = $order = $this->world->inReview();
    $task = ($this->task)(['to' => 'jonas', 'title' => 'Gauge is there', 'before_release' => true]);
    expect(($this->page)($task))->toMatchArray(['before_release' => true, 'before_review' => false]);
    $digest = $this->world->as('helen', 'GET', "/orders/{$order}/review")->json('order.digest');
    $this->world->only('helen', 'POST', "/orders/{$order}/signature", ['password' => 'secret', 'digest' => $digest])->assertOk();
    $release = fn(): TestResponse => $this->world->only('mira', 'POST', "/orders/{$order}/release", [
        'version' => $this->world->version($order),
    ]);
    $release()
        ->assertStatus(422)
        ->assertJsonPath('errors.tasks.0', "Not done yet: {$task} Gauge is there.");
    expect($this->world->as('mira', 'GET', "/dossiers/{$order}")->json('steps.5.missing'))->toBe(["Not done yet: {$task} Gauge is there."]);
    // Nobody is asked to release what cannot be released; and review has been.
    $asked = fn(): bool => in_array('Release', array_column($this->world->as('mira', 'GET', '/desk')->json('tasks'), 'todo'), true);
    expect($asked())
        ->toBeFalse()
        ->and(($this->page)($task)['may_wait'])
        ->toBe(['release']);
    ($this->does)('jonas', $task, 'done', ['text' => 'It is.'])->assertOk();
    expect($asked())->toBeTrue();
    $release()->assertOk();
    expect($this->world->state($order))->toBe('released');
});
