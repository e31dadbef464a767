<?php

declare(strict_types=1);

use App\Orders\Duties\Duties;
use App\Orders\Models\ChangeOrder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Illuminate\Testing\TestResponse;
use Orthotaxis\Core\Rights\Duty;
use Tests\Feature\Support\RequestPath;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    Http::fake(['*/supply' => Http::response(['rows' => []]), '*/items/unknown' => Http::response(['unknown' => []])]);
    $this->world = new World($this);
    $this->path = new RequestPath($this->world);
});

it('asks for the money where it costs enough, also when that is said later', function (): void {
    $request = $this->path->judged();
    expect($this->path->standings($request)[2])->toBe('not_needed');
    $this->world
        ->only('mira', 'POST', "/requests/{$request}/figures", [
            'kind' => 'one_time',
            'subject' => 'Gauge',
            'amount' => '6000',
            'reason' => 'Offer.',
        ])
        ->assertOk();
    expect($this->path->standings($request)[2])->toBe('ahead');
});

it('goes on the path that a rule chooses with its finding, until somebody chooses or signs', function (): void {
    $rule = fn(string $reason): array => ['chosen_when' => [['fact' => 'reason', 'values' => [$reason]]], 'rank' => 5];
    $this->path->set($rule('defect'))->assertOk();
    $this->path
        ->set(
            [
                'name' => 'For orders',
                'judges' => 'orders',
                'chosen_when' => [],
                'rank' => 1,
                'steps' => [['who' => ['role:signer']] + $this->path->steps[0]],
            ],
            'orders',
        )
        ->assertOk();
    $request = $this->path->raise();
    $this->path->find($request)->assertOk();
    $path = $this->path->seen($request)['path'];
    expect($path['code'])->toBe('board')->and($path['by_rule'])->toBeTrue();
    // A newer version of it while nobody has signed; none once somebody has.
    $this->path->set($rule('defect') + ['version' => 1, 'name' => 'Board, newer'])->assertOk();
    $this->path->find($request, 'Feasible, again.')->assertOk();
    expect($this->path->seen($request)['path']['version'])->toBe(2);
    $this->path->sign('vera', $request)->assertOk();
    $this->path->set($rule('safety') + ['version' => 2])->assertOk();
    $this->world
        ->only('mira', 'POST', "/requests/{$request}/figures", [
            'kind' => 'one_time',
            'subject' => 'Gauge',
            'amount' => '10',
            'reason' => 'Offer.',
        ])
        ->assertOk();
    expect($this->path->seen($request)['path']['version'])->toBe(2);
    $this->path
        ->choose($request, null)
        ->assertStatus(422)
        ->assertJsonPath('errors.path.0', fn(string $why): bool => str_contains($why, 'signed'));
    $other = $this->path->raise(['reason' => 'improvement']);
    $this->path->find($other)->assertOk();
    expect($this->path->seen($other))->toBeNull();
    $this->path->choose($other, 'orders')->assertStatus(422)->assertJsonPath('errors.path.0', 'There is no such path for requests.');
    $this->path->choose($other, 'board')->assertOk();
    $this->path->find($other, 'Feasible, again.')->assertOk();
    expect($this->path->seen($other)['path'])->toMatchArray(['code' => 'board', 'by_rule' => false]);
});

it('is steered by an administrator, with a reason', function (): void {
    $request = $this->path->judged();
    $steer = fn(string $who, array $body): TestResponse => $this->world->only(
        $who,
        'POST',
        "/requests/{$request}/path",
        $body + ['reason' => 'On leave.'],
    );
    $steer('mira', ['step' => 0])->assertForbidden();
    $steer('nils', ['step' => 9])->assertStatus(422);
    $steer('nils', ['step' => 1, 'to' => ['jonas']])
        ->assertStatus(422)
        ->assertJsonPath('errors.to.0', 'None of them may sign it.');
    $steer('nils', ['step' => 1, 'to' => ['helen']])->assertOk();
    $steer('nils', ['step' => 0])->assertOk();
    expect($this->path->standings($request))
        ->toBe(['skipped', 'now', 'not_needed', 'ahead'])
        ->and($this->path->acting($request))
        ->toBe(['helen']);
    $steer('nils', ['step' => 3])->assertOk();
    // The last step with nobody's signature is not left out.
    $steer('nils', ['step' => 1])
        ->assertStatus(422)
        ->assertJsonPath('errors.step.0', 'Somebody has to sign: give the step to others.');
    $this->path->sign('helen', $request, ['password' => ''])->assertOk();
    expect(RequestPath::of($request)->state->value)->toBe('approved');
});

it('counts whoever judged a request as one who decided on it, where that is kept apart from signing the order', function (): void {
    $request = $this->path->judged();
    $this->path->signFirstStage($request);
    $this->path->sign('helen', $request, ['checks' => ['Users warned']])->assertOk();
    $order = $this->world->only('mira', 'POST', "/requests/{$request}/order")->json('number');
    DB::table('separation_of_duties')->update(['pairs' => json_encode([['decide', 'sign']])]);
    $of = ChangeOrder::query()->where('number', $order)->firstOrFail();
    $barred = (new Duties())->barred(Duty::Sign, $of);
    expect(array_keys($barred))->toEqualCanonicalizing(
        array_map(fn(string $login): int => $this->world->people[$login]->id, ['vera', 'edda', 'tomas', 'helen']),
    );
});

it('puts it on the desk of those whom the path asks, and of nobody else', function (): void {
    $request = $this->path->judged();
    $todo = fn(string $who): array => array_column(
        array_filter(
            $this->world->as($who, 'GET', '/desk')->assertOk()->json('tasks'),
            static fn(array $task): bool => $task['change']['number'] === $request,
        ),
        'todo',
    );
    expect($todo('vera'))
        ->toBe(['Read and sign'])
        ->and($todo('helen'))
        ->toBe([])
        ->and($todo('mira'))
        ->toBe([]);
});

it('refuses a path for requests that asks for what only an order has', function (array $other, string $place): void {
    $this->path
        ->set($other)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => [$place]]);
    expect(DB::table('approval_paths')->count())->toBe(0);
})->with([
    'a signer' => [
        [
            'steps' => [
                [
                    'name' => 'Sign',
                    'stage' => 1,
                    'who' => ['role:signer'],
                    'needed' => 1,
                    'meaning' => 'approved',
                    'with_password' => true,
                    'due_days' => null,
                    'conditions' => [],
                    'back_to' => [0],
                ],
            ],
        ],
        'steps.0.who',
    ],
    'work before review' => [
        [
            'tasks' => [
                ['stage' => 0, 'kind' => 'design', 'title' => 'Draw', 'to' => 'vera', 'holds' => true, 'checks' => [], 'edits' => []],
            ],
        ],
        'tasks.0.stage',
    ],
    'being sent by itself' => [['sends_itself' => true], 'sends_itself'],
]);

it('is tried out on a request, and never changes what it judges', function (): void {
    $request = $this->path->raise();
    $trial = $this->world
        ->only('nils', 'POST', '/approval-paths/trial', ['change' => $request, 'steps' => $this->path->steps])
        ->assertOk()
        ->json();
    expect($trial['change'])
        ->toBe($request)
        ->and($trial['steps'][0]['people'])
        ->toEqualCanonicalizing(['Vera', 'Edda'])
        ->and($trial['steps'][1]['people'])
        ->toBe(['Tomas']);
    $this->path->set()->assertOk();
    $this->path
        ->set(['judges' => 'orders', 'version' => 1])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['judges']]);
});

it('says when no step of its path is needed, and is decided by one person then', function (): void {
    $step = ['conditions' => [['fact' => 'one_time_cost', 'values' => ['5000']]]] + $this->path->steps[2];
    $request = $this->path->judged(['steps' => [['stage' => 1] + $step]]);
    expect($this->world->as('mira', 'GET', "/dossiers/{$request}")->json('steps.1.missing'))->toBe([
        'No step of its path is needed: choose another path for it, or one decision.',
    ]);
    $this->path->choose($request, null)->assertOk();
    expect($this->world->as('mira', 'GET', "/dossiers/{$request}")->json('steps.1.missing'))->toBe([
        'Approve it, reject it or send it back.',
    ]);
});

it('leaves nothing of a path behind when it goes on another: what was skipped there is not skipped here', function (): void {
    $request = $this->path->judged();
    $this->world->only('nils', 'POST', "/requests/{$request}/path", ['step' => 0, 'reason' => 'On leave.'])->assertOk();
    $this->world->only('nils', 'POST', "/requests/{$request}/path", ['step' => 1, 'to' => ['helen'], 'reason' => 'On leave.'])->assertOk();
    expect($this->path->standings($request))->toBe(['skipped', 'now', 'not_needed', 'ahead']);
    $this->path->set(['steps' => [$this->path->steps[0], ['stage' => 2] + $this->path->steps[1]]], 'other')->assertOk();
    $this->path->choose($request, 'other')->assertOk();
    expect($this->path->standings($request))
        ->toBe(['now', 'ahead'])
        ->and($this->path->acting($request))
        ->toBe(['edda', 'vera'])
        ->and($this->path->seen($request)['path']['steps'][1]['people'])
        ->toBe(['Tomas']);
    $this->path->choose($request, null)->assertOk();
    expect($this->path->acting($request))->toBe([]);
});
