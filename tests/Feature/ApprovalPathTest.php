<?php

declare(strict_types=1);

use App\Orders\Models\ChangeOrder;
use App\People\Models\Group;
use App\People\Models\Person;
use App\People\ShippedRole;
use Illuminate\Support\Facades\DB;
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
    // Four who may sign: two of quality, two of the board.
    foreach (['vera' => ShippedRole::Quality, 'edda' => ShippedRole::Quality, 'tomas' => ShippedRole::BoardMember] as $login => $role) {
        $this->world->people[$login]->update(['roles' => [$role->value]]);
    }
    $this->admin = $this->world->people['nils'];
    $this->admin->update(['roles' => [ShippedRole::Administrator->value]]);
    Group::query()
        ->create(['code' => 'quality', 'name' => 'Quality'])
        ->members()
        ->sync(
            Person::query()
                ->whereIn('login', ['vera', 'edda', 'helen'])
                ->pluck('id'),
        );
    $this->step = static fn(array $other): array => $other + [
        'needed' => 0,
        'meaning' => 'approved',
        'with_password' => true,
        'due_days' => null,
        'conditions' => [],
        'back_to' => [0],
    ];
    $this->steps = [
        ($this->step)([
            'name' => 'Review',
            'stage' => 1,
            'who' => ['group:quality'],
            'needed' => 2,
            'meaning' => 'reviewed',
            'due_days' => 3,
        ]),
        ($this->step)([
            'name' => 'Money',
            'stage' => 2,
            'who' => ['tomas'],
            'conditions' => [['fact' => 'one_time_cost', 'values' => ['5000']]],
        ]),
        ($this->step)([
            'name' => 'Approval',
            'stage' => 3,
            'who' => ['role:signer', 'tomas'],
            'needed' => 1,
            'with_password' => false,
            'back_to' => [0, 1],
        ]),
    ];
    $this->set = fn(array $other = [], string $code = 'usual'): TestResponse => $this->world->only(
        'nils',
        'PUT',
        "/approval-paths/{$code}",
        $other + ['name' => 'Usual', 'steps' => $this->steps, 'retired' => false],
    );
    $this->onPath = function (?Closure $said = null): string {
        ($this->set)()->assertOk();
        $order = $this->world->opened($said);
        $this->world->edit($order, 'replace', 10, ['component' => '200-0041'])->assertOk();
        $this->world
            ->only('mira', 'PATCH', "/orders/{$order}", ['path' => 'usual', 'version' => $this->world->version($order)])
            ->assertOk();

        return $order;
    };
    $this->inReview = function (): string {
        $order = ($this->onPath)();
        $this->world->only('jonas', 'POST', "/orders/{$order}/review", ['version' => $this->world->version($order)])->assertOk();

        return $order;
    };
    $this->sign = function (string $who, string $order, array $body = []): TestResponse {
        $digest = $this->world->as($who, 'GET', "/orders/{$order}/review")->json('order.digest');

        return $this->world->only($who, 'POST', "/orders/{$order}/signature", $body + ['password' => 'secret', 'digest' => $digest]);
    };
    $this->path = fn(string $order, string $who = 'mira'): array => $this->world
        ->as($who, 'GET', "/orders/{$order}/review")
        ->assertOk()
        ->json('order.path');
    $this->standings = fn(string $order): array => array_column(($this->path)($order)['steps'], 'standing');
    $this->acting = fn(string $order): array => ChangeOrder::query()->where('number', $order)->firstOrFail()->actors->pluck('login')->all();
});

it('goes step by step, two of a group, and ends where nobody is missing', function (): void {
    $order = ($this->inReview)();
    expect(($this->standings)($order))
        // Nothing was said that it costs.
        ->toBe(['now', 'not_needed', 'ahead'])
        ->and(($this->acting)($order))
        ->toEqualCanonicalizing(['vera', 'edda', 'helen']);
    ($this->sign)('tomas', $order)->assertStatus(422);
    ($this->sign)('vera', $order, ['password' => 'wrong'])
        ->assertStatus(422)
        ->assertJsonPath('errors.password.0', fn(string $why): bool => str_contains($why, 'not your password'));
    ($this->sign)('vera', $order)->assertOk();
    ($this->sign)('vera', $order)->assertStatus(422);
    expect(($this->path)($order)['steps'][0])->toMatchArray(['lacking' => 1, 'meaning' => 'reviewed', 'acting' => ['Edda', 'Helen']]);
    ($this->sign)('edda', $order)->assertOk();
    expect($this->world->state($order))
        ->toBe('in_review')
        ->and(($this->standings)($order))
        ->toBe(['done', 'not_needed', 'now'])
        ->and(($this->acting)($order))
        ->toEqualCanonicalizing(['helen', 'tomas']);
    // This step asks for no password.
    ($this->sign)('tomas', $order, ['password' => ''])->assertOk();
    expect($this->world->state($order))
        ->toBe('signed')
        ->and(($this->acting)($order))
        ->toBe([])
        ->and(DB::table('signatures')->orderBy('id')->pluck('said')->all())
        ->toBe(['reviewed', 'reviewed', 'approved']);
    $this->world->only('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])->assertOk();
});

it('needs the step on which its cost depends, as it was when it was sent to review', function (): void {
    $order = ($this->onPath)(
        fn(string $request) => $this->world
            ->only('mira', 'POST', "/requests/{$request}/figures", [
                'kind' => 'one_time',
                'subject' => 'Gauge',
                'amount' => '6000',
                'reason' => 'Offer.',
            ])
            ->assertOk(),
    );
    $this->world->only('jonas', 'POST', "/orders/{$order}/review", ['version' => $this->world->version($order)])->assertOk();
    expect(($this->standings)($order))->toBe(['now', 'ahead', 'ahead']);
});

it('goes back to a stage, and what was signed from there on is void', function (): void {
    $order = ($this->inReview)();
    ($this->sign)('vera', $order)->assertOk();
    ($this->sign)('edda', $order)->assertOk();
    $back = fn(string $who, int $stage): TestResponse => $this->world->only($who, 'POST', "/orders/{$order}/return", [
        'reason' => 'Look again.',
        'stage' => $stage,
    ]);
    $back('tomas', 2)->assertStatus(422)->assertJsonPath('errors.stage.0', 'It cannot be sent back there.');
    expect(($this->path)($order, 'tomas')['back_to'])->toBe([1]);
    $back('tomas', 1)->assertOk();
    expect($this->world->state($order))
        ->toBe('in_review')
        ->and(($this->standings)($order))
        ->toBe(['now', 'not_needed', 'ahead'])
        ->and(($this->acting)($order))
        ->toContain('vera');
    ($this->sign)('vera', $order)->assertOk();
    $back('edda', 0)->assertOk();
    expect($this->world->state($order))
        ->toBe('revising')
        ->and(DB::table('signatures')->where('void', false)->where('meaning', 'signed')->count())
        ->toBe(0);
});

it('lets a stand-in sign for who is away, as long as they are', function (): void {
    $order = ($this->inReview)();
    $away = fn(array $other, string $who = 'helen'): TestResponse => $this->world->only(
        $who,
        'POST',
        '/absences',
        $other + [
            'person' => 'helen',
            'deputy' => 'tomas',
            'first_day' => World::day(0),
            'last_day' => World::day(5),
        ],
    );
    $away(['deputy' => 'helen'])
        ->assertStatus(422)
        ->assertJsonPath('errors.deputy.0', 'Nobody stands in for themselves.');
    $away(['last_day' => World::day(-1)])->assertStatus(422);
    $away([], 'vera')->assertForbidden();
    $away([])->assertOk()->assertJsonPath('0.deputy_name', 'Tomas');
    $away(['first_day' => World::day(3), 'last_day' => World::day(9)])->assertStatus(422);
    expect(($this->acting)($order))->toEqualCanonicalizing(['vera', 'edda', 'tomas']);
    ($this->sign)('tomas', $order)->assertOk();
    expect(($this->path)($order)['steps'][0]['signed'][0])->toMatchArray(['by' => 'Tomas', 'for' => 'Helen']);
    // Who may not sign stands in for nobody.
    $this->world->people['tomas']->update(['roles' => [ShippedRole::Planner->value]]);
    expect(($this->path)($order)['steps'][0]['acting'])->not->toContain('Tomas');
    $this->world->people['tomas']->update(['roles' => [ShippedRole::BoardMember->value]]);
    $id = DB::table('absences')->value('id');
    $this->world->only('vera', 'DELETE', "/absences/{$id}")->assertForbidden();
    $this->world->only('helen', 'DELETE', "/absences/{$id}")->assertOk();
    expect(($this->acting)($order))->toEqualCanonicalizing(['vera', 'edda']);
});

it('is not sent to review on a path that cannot come to its end, and says why', function (): void {
    $order = ($this->onPath)();
    $this->world->people['edda']->update(['active' => false]);
    $this->world->people['helen']->update(['active' => false]);
    $this->world
        ->only('jonas', 'POST', "/orders/{$order}/review", ['version' => $this->world->version($order)])
        ->assertStatus(422)
        ->assertJsonPath('message', fn(string $why): bool => str_contains($why, '“Review” needs 2 more signatures, and only 1 can sign.'));
});

it('is steered by an administrator with a reason, on record', function (): void {
    $order = ($this->inReview)();
    $steer = fn(array $body, string $who = 'nils'): TestResponse => $this->world->only($who, 'POST', "/orders/{$order}/path", $body);
    $steer(['step' => 0, 'reason' => 'X'], 'mira')->assertForbidden();
    $steer(['step' => 0, 'reason' => ''])->assertStatus(422);
    $steer(['step' => 1, 'reason' => 'Not needed.'])->assertStatus(422);
    $steer(['step' => 0, 'reason' => 'Quality is on a fair.', 'to' => ['jonas']])
        ->assertStatus(422)
        ->assertJsonPath('errors.to.0', 'None of them may sign it.');
    $steer(['step' => 0, 'reason' => 'Quality is on a fair.', 'to' => ['tomas', 'helen']])->assertOk();
    expect(($this->acting)($order))->toEqualCanonicalizing(['helen', 'tomas']);
    $steer(['step' => 0, 'reason' => 'They are too.'])->assertOk();
    expect(($this->standings)($order))->toBe(['skipped', 'not_needed', 'now']);
    // Without any signature it could never be released.
    $steer(['step' => 2, 'reason' => 'Agreed by telephone.'])
        ->assertStatus(422)
        ->assertJsonPath('errors.step.0', 'Somebody has to sign: give the step to others.');
    ($this->sign)('helen', $order, ['password' => ''])->assertOk();
    expect($this->world->state($order))
        ->toBe('signed')
        ->and(DB::table('ledger')->where('subject', $order)->where('act', 'like', 'order.step_%')->count())
        ->toBe(2);
});

it('keeps an order on the version of its path on which it began', function (): void {
    $order = ($this->inReview)();
    ($this->set)(['steps' => array_slice($this->steps, 0, 1), 'version' => 1])
        ->assertOk()
        ->assertJsonPath('version', 2);
    expect(($this->path)($order)['version'])
        ->toBe(1)
        ->and(($this->path)($order)['steps'])
        ->toHaveCount(3)
        ->and($this->world->as('vera', 'GET', '/approval-paths')->json('0.steps'))
        ->toHaveCount(1);
    ($this->set)(['version' => 1])->assertStatus(409);
    ($this->set)()->assertStatus(422)->assertJsonPath('errors.code.0', 'There is a path usual already.');
});

it('says at its step what is wrong with a path', function (array $wrong, string $place): void {
    $steps = $this->steps;
    $steps[1] = $wrong + $steps[1];
    ($this->set)(['steps' => $steps])->assertStatus(422);
    expect(array_keys(($this->set)(['steps' => $steps])->json('errors')))->toContain($place);
    expect(DB::table('approval_paths')->count())->toBe(0);
})->with([
    'of nobody' => [['who' => []], 'steps.1.who'],
    'of somebody unknown' => [['who' => ['nobody']], 'steps.1.who'],
    'of one name twice' => [['name' => 'Review'], 'steps.1.name'],
    'sent back to what comes later' => [['back_to' => [2]], 'steps.1.back_to'],
    'an amount that is none' => [['conditions' => [['fact' => 'one_time_cost', 'values' => ['much']]]], 'steps.1.conditions.0.values'],
    'a stage left out' => [['stage' => 7], 'steps'],
]);

it('shows the one signer of an order as a path of one step', function (): void {
    $order = $this->world->inReview();
    expect(($this->path)($order))
        ->toMatchArray(['code' => null, 'name' => 'One signature', 'stage' => 1, 'stuck' => []])
        ->and(($this->acting)($order))
        ->toBe(['helen']);
});

it('is tried out on any order before it is switched on, and keeps nothing of that', function (): void {
    $order = $this->world->opened();
    $try = fn(array $other = [], string $who = 'nils'): TestResponse => $this->world->only(
        $who,
        'POST',
        '/approval-paths/trial',
        $other + ['change' => $order, 'steps' => $this->steps],
    );
    $steps = $try()->assertOk()->json('steps');
    expect(array_column($steps, 'needed', 'name'))
        ->toBe(['Review' => true, 'Money' => false, 'Approval' => true])
        ->and($steps[0])
        ->toMatchArray(['signatures' => 2, 'stuck' => ''])
        ->and($steps[0]['people'])
        ->toEqualCanonicalizing(['Edda', 'Helen', 'Vera'])
        ->and($try()->json('facts.0.fact'))
        ->toBe('one_time_cost');
    // Whoever raised or edits it judges nothing of it: a step that asks only them could not be ended.
    $alone = $try(['steps' => [($this->step)(['name' => 'Alone', 'stage' => 1, 'who' => ['mira'], 'needed' => 1])]])->json('steps.0');
    expect($alone)->toMatchArray(['people' => [], 'stuck' => 'Nobody can sign “Alone”.']);
    // One that is long past its review says what was so then.
    ChangeOrder::query()
        ->where('number', $order)
        ->update(['facts' => json_encode(['one_time_cost' => ['9000.00']])]);
    expect(array_column($try()->json('steps'), 'needed', 'name')['Money'])->toBeTrue();

    $try(['change' => 'ECO-99999'])
        ->assertStatus(422)
        ->assertJson(['errors' => ['change' => ['There is no such change.']]]);
    $try(['steps' => []])->assertStatus(422);
    $try([], 'mira')->assertForbidden();
    expect(DB::table('approval_paths')->count())->toBe(0);
});

it('asks by the severity of the reports that it answers, and by the class of the change', function (): void {
    $order = $this->world->opened(function (string $request): void {
        $report = $this->world
            ->only('mira', 'POST', '/reports', [
                'title' => 'Torn',
                'description' => 'Torn again.',
                'site' => 'Weir',
                'source' => 'field',
                'severity' => 'critical',
                'items' => ['200-0010'],
            ])
            ->json('number');
        $this->world->only('mira', 'PUT', "/reports/{$report}/requests/{$request}")->assertOk();
    });
    DB::table('successions')->insert([
        'item_id' => $this->world->items['200-0040'],
        'successor_id' => $this->world->items['200-0041'],
        'interchangeable' => false,
        'order_id' => ChangeOrder::query()->where('number', $order)->value('id'),
    ]);
    $steps = [];
    foreach (
        [['severity', 'critical'], ['severity', 'low'], ['interchange', 'not_interchangeable'], ['interchange', 'interchangeable']]
        as $at => [$fact, $value]
    ) {
        $conditions = [['fact' => $fact, 'values' => [$value]]];
        $steps[] = ($this->step)(['name' => $value, 'stage' => $at + 1, 'who' => ['helen'], 'conditions' => $conditions]);
    }
    $trial = $this->world->only('nils', 'POST', '/approval-paths/trial', ['change' => $order, 'steps' => $steps])->assertOk();
    expect(array_column($trial->json('steps'), 'needed', 'name'))->toBe([
        'critical' => true,
        'low' => false,
        'not_interchangeable' => true,
        'interchangeable' => false,
    ]);
});
