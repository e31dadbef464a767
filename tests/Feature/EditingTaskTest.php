<?php

declare(strict_types=1);

use App\Orders\Models\EditRecord;
use App\People\Models\Group;
use App\People\Models\Person;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    // Jonas edits it.
    $this->order = $this->world->opened();
    $this->make = fn(array $edits, string $to = 'edda'): TestResponse => $this->world->only(
        'mira',
        'POST',
        "/changes/{$this->order}/tasks",
        [
            'to' => $to,
            'kind' => 'design',
            'title' => 'Second clamp',
            'text' => '',
            'priority' => 'normal',
            'checks' => [],
            'waits_for' => [],
            'edits' => $edits,
        ],
    );
    $this->engineering = ['item' => '200-0010', 'kind' => 'engineering', 'plant' => ''];
    $this->task = fn(array $edits = [], string $to = 'edda'): string => ($this->make)($edits ?: [$this->engineering], $to)
        ->assertOk()
        ->json('number');
    $this->quantity = fn(string $by, string $quantity, int $find = 20): TestResponse => $this->world->edit(
        $this->order,
        'change',
        $find,
        ['quantity' => $quantity],
        by: $by,
    );
    $this->row = fn(int $find): array => collect(
        $this->world->only('jonas', 'GET', "/orders/{$this->order}/items/200-0010/redline")->json('rows'),
    )->firstOrFail(static fn(array $row): bool => ($row['after']['find'] ?? $row['before']['find']) === $find);
    $this->work = fn(string $task, string $by = 'edda'): array => $this->world
        ->only($by, 'GET', "/tasks/{$task}/edits")
        ->assertOk()
        ->json();
    $this->done = fn(string $task, string $by = 'edda'): TestResponse => $this->world->only($by, 'POST', "/tasks/{$task}/done", [
        'text' => 'Done.',
    ]);
});

it('lets who has the task edit its subjects, and knows which edits are of it', function (): void {
    ($this->quantity)('edda', '3')->assertJsonValidationErrors(['editor' => 'names another person']);
    $task = ($this->task)();
    ($this->quantity)('edda', '3')->assertOk();
    ($this->quantity)('jonas', '8', 30)->assertOk();
    expect(($this->row)(20))
        ->toMatchArray(['edited_by' => 'Edda', 'task' => $task])
        ->and(($this->row)(30))
        ->toMatchArray(['edited_by' => 'Jonas', 'task' => null]);
    $this->world
        ->only('edda', 'POST', "/orders/{$this->order}/items/200-0010/data", ['fields' => ['standard_cost' => '12.80'], 'seen' => 0])
        ->assertJsonValidationErrors(['editor' => 'do not edit 200-0010, item data']);
    $subjects = $this->world->worksheet('edda', $this->order)['subjects'];
    expect(array_column($subjects, 'may_edit', 'work'))->toBe(['engineering' => true]);
    expect($this->world->only('edda', 'GET', "/tasks/{$task}")->json('edits'))->toBe([$this->engineering]);
});

it('ends with the task, and review waits for it', function (): void {
    $task = ($this->task)();
    ($this->quantity)('edda', '3')->assertOk();
    $send = fn(): TestResponse => $this->world->only('mira', 'POST', "/orders/{$this->order}/review", [
        'version' => $this->world->version($this->order),
    ]);
    $send()->assertJsonValidationErrors(['tasks' => "Not done yet: {$task} Second clamp."]);
    ($this->done)($task)->assertOk();
    ($this->quantity)('edda', '4')->assertJsonValidationErrors('editor');
    $send()->assertOk();
    // Who edited does not sign.
    $this->world->only('edda', 'POST', "/orders/{$this->order}/signature", ['password' => 'secret', 'digest' => ''])->assertStatus(403);
});

it('keeps from signing who has an editing task, whatever they have done of it', function (): void {
    ($this->task)();
    Person::query()
        ->where('login', 'edda')
        ->update(['roles' => json_encode(['electronics_engineer', 'board_member'])]);
    $this->world
        ->only('mira', 'PATCH', "/orders/{$this->order}", ['signer' => 'edda', 'version' => $this->world->version($this->order)])
        ->assertJsonValidationErrors(['signer' => 'cannot sign']);
});

it('is for people who may edit', function (): void {
    ($this->make)([$this->engineering], 'helen')->assertJsonValidationErrors(['to' => 'Helen may not edit structures.']);
    $group = Group::query()->create(['code' => 'some', 'name' => 'Some']);
    $group->members()->sync(
        Person::query()
            ->whereIn('login', ['helen', 'nils'])
            ->pluck('id'),
    );
    ($this->make)([$this->engineering], 'group:some')->assertJsonValidationErrors(['to' => 'Nobody in this group']);
    $group->members()->sync(
        Person::query()
            ->whereIn('login', ['helen', 'edda'])
            ->pluck('id'),
    );
    $task = ($this->task)([$this->engineering], 'group:some');
    $this->world->only('helen', 'POST', "/tasks/{$task}/claim")->assertJsonValidationErrors(['task' => 'Helen may not edit']);
    $this->world->only('edda', 'POST', "/tasks/{$task}/claim")->assertOk();
    $this->world
        ->only('edda', 'POST', "/tasks/{$task}/hand-on", ['to' => 'helen', 'text' => 'Yours.'])
        ->assertJsonValidationErrors(['to' => 'Helen may not edit']);
});

it('edits what the order changes, and nothing else', function (array $edits, string $place, string $why): void {
    ($this->make)([$edits])->assertJsonValidationErrors([$place => $why]);
    expect($this->world->only('mira', 'GET', "/changes/{$this->order}/tasks")->json())->toBe([]);
})->with([
    'an item that is not on it' => [['item' => '200-0001', 'kind' => 'engineering', 'plant' => ''], 'edits.0', 'is not on ECO'],
    'an item that stays' => [['item' => '200-0040', 'kind' => 'engineering', 'plant' => ''], 'edits.0', 'stays as it is'],
    'a plant that is not there' => [['item' => '200-0010', 'kind' => 'manufacturing', 'plant' => 'Nowhere'], 'edits.0', 'no plant Nowhere'],
    'manufacturing nowhere' => [['item' => '200-0010', 'kind' => 'manufacturing', 'plant' => ''], 'edits.0', 'no such work'],
    'engineering at a plant' => [['item' => '200-0010', 'kind' => 'engineering', 'plant' => 'Weir'], 'edits.0', 'no such work'],
    'a kind that is not there' => [['item' => '200-0010', 'kind' => 'colour', 'plant' => ''], 'edits.0', 'no such work'],
]);

it('edits nothing for a request', function (): void {
    $request = $this->world->only('jonas', 'POST', '/requests', $this->world->request())->json('number');
    $this->order = $request;
    ($this->make)([$this->engineering])->assertJsonValidationErrors(['edits' => "{$request} is no order."]);
});

it('shows the work of one task, and nothing of others', function (): void {
    $task = ($this->task)();
    ($this->quantity)('jonas', '8', 30)->assertOk();
    ($this->quantity)('edda', '3')->assertOk();
    ($this->quantity)('edda', '4')->assertOk();
    $page = ($this->work)($task);
    expect($page['subjects'])
        ->toHaveCount(1)
        ->and($page['subjects'][0])
        ->toMatchArray(['item' => '200-0010', 'kind' => 'engineering', 'edits' => 2, 'built_on' => null])
        ->and($page['subjects'][0]['parts'])
        ->toBe([
            [
                'action' => 'change',
                'called' => 'line 20 200-0042',
                'fields' => [['name' => 'quantity', 'before' => '2', 'after' => '4']],
            ],
        ])
        ->and([$page['can_undo'], $page['can_redo']])
        ->toBe([true, false])
        ->and(($this->work)($task, 'vera')['can_undo'])
        ->toBeFalse();
});

it('takes back the work of one task, whatever others did between, and does it again', function (): void {
    $task = ($this->task)();
    ($this->quantity)('edda', '3')->assertOk();
    ($this->quantity)('jonas', '8', 30)->assertOk();
    ($this->quantity)('edda', '9', 30)->assertOk();
    $this->world->only('vera', 'POST', "/tasks/{$task}/edits/undo")->assertForbidden();
    $this->world->only('edda', 'POST', "/tasks/{$task}/edits/undo")->assertOk();
    expect(($this->row)(20)['after']['quantity'])
        ->toBe('2')
        ->and(($this->row)(30)['after']['quantity'])
        ->toBe('8')
        ->and(($this->work)($task)['can_redo'])
        ->toBeTrue();
    $this->world->only('edda', 'POST', "/tasks/{$task}/edits/undo")->assertJsonValidationErrors(['edits' => 'nothing to undo']);
    $this->world->only('edda', 'POST', "/tasks/{$task}/edits/redo")->assertOk();
    expect(($this->row)(20)['after']['quantity'])
        ->toBe('3')
        ->and(($this->row)(30)['after']['quantity'])
        ->toBe('9');
});

it('takes nothing back that others have built on', function (): void {
    $task = ($this->task)();
    $this->world
        ->edit($this->order, 'add', 40, ['find' => '40', 'component' => '710-0001', 'quantity' => '2', 'unit' => 'g'], by: 'edda')
        ->assertOk();
    ($this->quantity)('edda', '3')->assertOk();
    ($this->quantity)('jonas', '5', 40)->assertOk();
    $answer = $this->world->only('mira', 'POST', "/tasks/{$task}/edits/undo")->assertStatus(422);
    expect(array_values($answer->json('errors'))[0][0])
        ->toContain('what others did builds on this')
        ->and(($this->row)(20)['after']['quantity'])
        ->toBe('3')
        ->and(EditRecord::query()->whereNotNull('withdrawn_at')->count())
        ->toBe(0)
        ->and(($this->work)($task)['subjects'][0]['built_on'])
        ->not->toBeNull();
});

it('undoes in the worksheet what the person did themselves', function (): void {
    ($this->task)();
    ($this->quantity)('jonas', '8', 30)->assertOk();
    ($this->quantity)('edda', '3')->assertOk();
    $this->world
        ->only('jonas', 'POST', "/orders/{$this->order}/undo")
        ->assertJsonValidationErrors(['edits' => 'Edda has edited 200-0010 after you.']);
    $this->world->only('edda', 'POST', "/orders/{$this->order}/undo")->assertOk();
    expect(($this->row)(20)['after']['quantity'])->toBe('2');
    $this->world->only('edda', 'POST', "/orders/{$this->order}/undo")->assertJsonValidationErrors(['edits' => 'nothing to undo']);
    $this->world->only('jonas', 'POST', "/orders/{$this->order}/undo")->assertOk();
    expect(($this->row)(30)['after']['quantity'])->toBe('6');
});
