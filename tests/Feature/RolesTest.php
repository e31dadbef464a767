<?php

declare(strict_types=1);

use App\People\Models\Person;
use App\People\ShippedRole;
use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->world->people['nils']->update(['roles' => [ShippedRole::Administrator->value]]);
});

function role(array $some = []): array
{
    return [
        ...[
            'name' => 'Coordinator, Weir',
            'abilities' => ['plan_order', 'discuss'],
            'plants' => [],
            'categories' => [],
            'second_factor' => false,
            'retired' => false,
        ],
        ...$some,
    ];
}

function account(array $some = []): array
{
    return [...['name' => 'Ruth Amery', 'email' => 'ruth.amery@quillback.example', 'roles' => ['planner'], 'active' => true], ...$some];
}

it('begins with the roles that ship, and says what each allows', function (): void {
    $roles = collect($this->world->as('vera', 'GET', '/roles')->assertOk()->json())->keyBy('code');
    $known = array_column($this->world->as('vera', 'GET', '/abilities')->assertOk()->json(), 'code');
    expect($roles->keys()->sort()->values()->all())
        ->toBe(collect(array_column(ShippedRole::cases(), 'value'))->sort()->values()->all())
        ->and($roles['coordinator']['abilities'])
        ->toContain('release_order')
        ->and($roles['coordinator']['people'])
        ->toBe(['Mira'])
        ->and(array_diff(array_merge(...$roles->pluck('abilities')->all()), $known))
        ->toBe([]);
});

it('gives a right, and takes it, at once', function (): void {
    $this->world->only('vera', 'POST', '/requests', $this->world->request())->assertForbidden();
    $this->world
        ->only('nils', 'PUT', '/roles/viewer', role(['name' => 'Viewer', 'abilities' => ['raise_request'], 'version' => 1]))
        ->assertOk()
        ->assertJson(['number' => 'viewer', 'version' => 2]);
    $this->world->only('vera', 'POST', '/requests', $this->world->request())->assertOk();
    expect($this->world->as('vera', 'GET', '/session')->json('abilities'))->toBe(['raise_request']);
    $set = DB::table('ledger')->where('act', 'role.set')->first();
    expect($set->subject)
        ->toBe('viewer')
        ->and(json_decode($set->details, true)['abilities'])
        ->toBe(['raise_request']);
    $this->world->only('nils', 'PUT', '/roles/viewer', role(['name' => 'Viewer', 'abilities' => [], 'version' => 2]))->assertOk();
    $this->world->only('vera', 'POST', '/requests', $this->world->request())->assertForbidden();
});

it('holds a role to plants: with what concerns one of them, and what nobody has said yet', function (): void {
    $this->world->only('nils', 'PUT', '/roles/weir', role(['plants' => ['Weir']]))->assertOk();
    $this->world->people['tomas']->update(['roles' => ['weir']]);
    $tarn = $this->world->order();
    DB::table('change_requests')->update(['site' => 'Tarn']);
    $this->world
        ->only('tomas', 'PATCH', "/orders/{$tarn}", ['title' => 'Other', 'version' => $this->world->version($tarn)])
        ->assertForbidden();
    expect($this->world->as('tomas', 'GET', "/dossiers/{$tarn}")->json('order.may'))
        ->not->toContain('plan')
        ->and(array_column($this->world->as('tomas', 'GET', '/desk')->json('tasks'), 'todo'))
        ->not->toContain('Plan the order');
    DB::table('change_requests')->update(['site' => 'Weir']);
    $this->world->only('tomas', 'PATCH', "/orders/{$tarn}", ['title' => 'Other', 'version' => $this->world->version($tarn)])->assertOk();
    expect($this->world->as('tomas', 'GET', "/dossiers/{$tarn}")->json('order.may'))
        ->toContain('plan')
        ->and(array_column($this->world->as('tomas', 'GET', '/desk')->json('tasks'), 'todo'))
        ->toContain('Plan the order');
    DB::table('change_order_requests')->delete();
    $this->world->only('tomas', 'PATCH', "/orders/{$tarn}", ['title' => 'Third', 'version' => $this->world->version($tarn)])->assertOk();
});

it('holds a role to categories, with those below them', function (): void {
    $above = DB::table('categories')->insertGetId(['code' => 'modules', 'name' => 'Modules']);
    DB::table('categories')->insert(['code' => 'cases', 'name' => 'Cases']);
    DB::table('categories')
        ->where('code', 'pump')
        ->update(['parent_id' => $above]);
    $order = $this->world->order();
    $try = function (array $categories) use ($order): int {
        $this->world
            ->only(
                'nils',
                'PUT',
                '/roles/held',
                role(['categories' => $categories, 'version' => DB::table('roles')->where('code', 'held')->value('version')]),
            )
            ->assertOk();
        $this->world->people['tomas']->update(['roles' => ['held']]);

        return $this->world
            ->only('tomas', 'PATCH', "/orders/{$order}", ['title' => 'Other', 'version' => $this->world->version($order)])
            ->status();
    };
    expect($try(['cases']))->toBe(403)->and($try(['modules']))->toBe(200)->and($try(['pump', 'cases']))->toBe(200);
});

it('names nobody to sign who may not sign there', function (): void {
    $this->world->only('nils', 'PUT', '/roles/signs', role(['abilities' => ['sign_order'], 'plants' => ['Weir']]))->assertOk();
    $this->world->people['helen']->update(['roles' => ['signs']]);
    $order = $this->world->order();
    DB::table('change_requests')->update(['site' => 'Tarn']);
    $this->world
        ->only('mira', 'PATCH', "/orders/{$order}", ['signer' => 'helen', 'version' => $this->world->version($order)])
        ->assertStatus(422)
        ->assertJsonValidationErrors(['signer' => 'Helen may not sign orders']);
    DB::table('change_requests')->update(['site' => 'Weir']);
    $this->world->only('mira', 'PATCH', "/orders/{$order}", ['signer' => 'helen', 'version' => $this->world->version($order)])->assertOk();
});

it('says at its place what is wrong with a role, and saves nothing', function (array $some, string $place): void {
    $this->world->only('nils', 'PUT', '/roles/weir', role($some))->assertStatus(422)->assertJsonValidationErrors($place);
    expect(DB::table('roles')->where('code', 'weir')->exists())->toBeFalse();
})->with([
    'no name' => [['name' => ' '], 'name'],
    'no such right' => [['abilities' => ['fly']], 'abilities.0'],
    'no such plant' => [['plants' => ['Moon']], 'plants.0'],
    'no such category' => [['categories' => ['moon']], 'categories.0'],
    'not a list' => [['abilities' => 'plan_order'], 'abilities'],
]);

it('lets two neither make the same role nor overwrite each other', function (): void {
    $this->world->only('nils', 'PUT', '/roles/weir', role())->assertOk();
    $this->world->only('nils', 'PUT', '/roles/weir', role())->assertStatus(422)->assertJsonValidationErrors('code');
    $this->world->only('nils', 'PUT', '/roles/weir', role(['name' => 'A', 'version' => 1]))->assertOk();
    $this->world->only('nils', 'PUT', '/roles/weir', role(['name' => 'B', 'version' => 1]))->assertStatus(409);
    $this->world->only('nils', 'PUT', '/roles/none', role(['version' => 1]))->assertNotFound();
});

it('lets only those manage people and roles who may', function (): void {
    foreach (['mira', 'vera', 'helen'] as $login) {
        $this->world->only($login, 'PUT', '/roles/weir', role())->assertForbidden();
        $this->world->only($login, 'PUT', '/accounts/ruth.amery', account())->assertForbidden();
        $this->world->as($login, 'GET', '/accounts')->assertForbidden();
    }
});

it('leaves somebody who can manage people', function (): void {
    $all = ['name' => 'Nils', 'email' => 'nils@quillback.example', 'active' => true, 'version' => 1];
    $this->world
        ->only('nils', 'PUT', '/accounts/nils', account([...$all, 'roles' => ['viewer']]))
        ->assertStatus(422)
        ->assertJsonValidationErrors('roles');
    $this->world
        ->only('nils', 'PUT', '/accounts/nils', account([...$all, 'roles' => ['administrator'], 'active' => false]))
        ->assertStatus(422);
    $this->world
        ->only('nils', 'PUT', '/roles/administrator', role(['version' => 1]))
        ->assertStatus(422)
        ->assertJsonValidationErrors('abilities');
    $this->world
        ->only(
            'nils',
            'PUT',
            '/accounts/mira',
            account(['name' => 'Mira', 'email' => 'mira@quillback.example', 'roles' => ['administrator'], 'version' => 1]),
        )
        ->assertOk();
    $this->world->only('nils', 'PUT', '/accounts/nils', account([...$all, 'roles' => ['viewer']]))->assertOk();
});

it('retires a role that nobody has', function (): void {
    $this->world
        ->only('nils', 'PUT', '/roles/planner', role(['retired' => true, 'version' => 1]))
        ->assertStatus(422)
        ->assertJsonValidationErrors(['retired' => 'Tomas']);
    $this->world->people['tomas']->update(['roles' => ['viewer']]);
    $this->world->only('nils', 'PUT', '/roles/planner', role(['retired' => true, 'version' => 1]))->assertOk();
    $this->world->only('nils', 'PUT', '/accounts/ruth.amery', account())->assertStatus(422)->assertJsonValidationErrors('roles.0');
});

it('adds people, who are offered from then on, and lets them go without losing them', function (): void {
    $this->world->only('nils', 'PUT', '/accounts/ruth.amery', account())->assertOk();
    $row = collect($this->world->as('nils', 'GET', '/accounts')->json())->firstWhere('login', 'ruth.amery');
    expect($row['role_names'])
        ->toBe(['Planner'])
        ->and(array_column($this->world->as('mira', 'GET', '/people')->json(), 'login'))
        ->toContain('ruth.amery');
    $this->world->people['ruth.amery'] = Person::query()->where('login', 'ruth.amery')->firstOrFail();
    $this->world->as('ruth.amery', 'GET', '/desk')->assertOk();
    $this->world->only('nils', 'PUT', '/accounts/ruth.amery', account(['active' => false, 'version' => 1]))->assertOk();
    expect(array_column($this->world->as('mira', 'GET', '/people')->json(), 'login'))
        ->not->toContain('ruth.amery')
        ->and(array_column($this->world->as('nils', 'GET', '/accounts')->json(), 'login'))
        ->toContain('ruth.amery')
        ->and(DB::table('ledger')->where('act', 'person.set')->where('subject', 'ruth.amery')->count())
        ->toBe(2);
    $this->postJson('/api/session', ['login' => 'ruth.amery', 'password' => 'secret'])->assertStatus(422);
});

it('says at its place what is wrong with a person, and saves nothing', function (array $some, string $place): void {
    $this->world->only('nils', 'PUT', '/accounts/ruth.amery', account($some))->assertStatus(422)->assertJsonValidationErrors($place);
    expect(Person::query()->where('login', 'ruth.amery')->exists())->toBeFalse();
})->with([
    'no name' => [['name' => ''], 'name'],
    'no address' => [['email' => 'ruth'], 'email'],
    'somebody else\'s address' => [['email' => 'Mira@quillback.example'], 'email'],
    'no role' => [['roles' => []], 'roles'],
    'a role that is not there' => [['roles' => ['captain']], 'roles.0'],
]);

it('asks who can sign anew when somebody goes', function (): void {
    $order = $this->world->inReview();
    expect(DB::table('order_actors')->count())->toBe(1);
    $this->world
        ->only(
            'nils',
            'PUT',
            '/accounts/helen',
            account([
                'name' => 'Helen',
                'email' => 'helen@quillback.example',
                'roles' => ['board_member'],
                'active' => false,
                'version' => 1,
            ]),
        )
        ->assertOk();
    expect(DB::table('order_actors')->count())
        ->toBe(0)
        ->and($this->world->as('mira', 'GET', "/dossiers/{$order}")->json('order.path.stuck'))
        ->not->toBeEmpty();
});

it('holds a role to plants and categories also with what only begins, and keeps nothing of it', function (): void {
    $abilities = ['report_problem', 'raise_request', 'raise_order', 'add_item', 'answer_question'];
    $this->world->only('nils', 'PUT', '/roles/weir', role(['abilities' => $abilities, 'plants' => ['Weir']]))->assertOk();
    $this->world->people['tomas']->update(['roles' => ['weir']]);
    $why = 'Your role does not allow this for this plant or these items.';
    $counts = fn(): array => array_map(static fn(string $table): int => DB::table($table)->count(), [
        'problem_reports',
        'change_requests',
        'change_orders',
        'items',
        'ledger',
    ]);
    $before = $counts();
    $request = $this->world->request(['site' => 'Tarn']);
    $this->world->only('tomas', 'POST', '/requests', $request)->assertStatus(422)->assertJsonPath('errors.site.0', $why);
    expect($counts())->toBe($before);
    $this->world->only('tomas', 'POST', '/requests', $this->world->request(['site' => 'Weir']))->assertOk();

    // A fault is reported wherever it is seen.
    $report = [
        'title' => 'Torn',
        'description' => 'Torn.',
        'source' => 'field',
        'severity' => 'high',
        'serial' => '',
        'items' => ['200-0040'],
    ];
    $this->world->only('tomas', 'POST', '/reports', $report + ['site' => 'Tarn'])->assertOk();

    // Of categories: an item, and an order that names only what is elsewhere.
    DB::table('categories')->insert(['code' => 'cases', 'name' => 'Cases']);
    $this->world
        ->only('nils', 'PUT', '/roles/weir', role(['abilities' => $abilities, 'categories' => ['cases'], 'version' => 1]))
        ->assertOk();
    $before = $counts();
    $order = ['title' => 'Clamp', 'description' => 'Longer.', 'priority' => 'normal', 'items' => ['200-0040'], 'requests' => []];
    $this->world->only('tomas', 'POST', '/orders', $order)->assertStatus(422)->assertJsonPath('errors.items.0', $why);
    $item = ['category' => 'pump', 'title' => 'Ring', 'kind' => 'part', 'unit' => 'pc', 'supply' => 'make', 'attributes' => []];
    $this->world->only('tomas', 'POST', '/items', $item)->assertStatus(422)->assertJsonPath('errors.category.0', $why);
    expect($counts())->toBe($before);
});

it('gives what is done for all plants at once by no role that is held to some', function (string $ability): void {
    $this->world
        ->only('nils', 'PUT', '/roles/weir', role(['abilities' => ['discuss', $ability], 'plants' => ['Weir']]))
        ->assertStatus(422)
        ->assertJsonPath('errors.abilities.0', fn(string $why): bool => str_contains($why, 'Give it by a role without limits.'));
    $this->world->only('nils', 'PUT', '/roles/weir', role(['abilities' => ['discuss', $ability]]))->assertOk();
})->with(['import_data', 'set_up', 'manage_people']);
