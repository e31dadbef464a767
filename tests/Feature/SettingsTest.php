<?php

declare(strict_types=1);

use App\Days\Today;
use App\Imports\Jobs\RunImport;
use App\People\ShippedRole;
use App\Releases\Jobs\DeliverHandover;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->world->people['tomas']->update(['roles' => ['administrator']]);
});

it('asks the items of a category for what an administrator sets', function (): void {
    $set = fn(array $attributes, string $by = 'tomas') => $this->world->setCategory($by, 'pump', [
        'number_prefix' => '200-',
        'number_width' => 4,
        'number_check' => false,
        'sequence' => null,
        'attributes' => $attributes,
    ]);
    $set([['label' => 'Flow, l/min', 'required' => true]], 'mira')->assertForbidden();
    $set([['label' => '', 'required' => true]])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['attributes.0.label']]);
    $set([['label' => 'Flow', 'required' => true], ['label' => 'flow', 'required' => false]])->assertStatus(422);
    $set([['label' => 'Flow, l/min', 'required' => true], ['label' => 'Колір', 'required' => false]])
        ->assertOk()
        ->assertJsonPath('0.attributes.0', ['name' => 'flow_l_min', 'label' => 'Flow, l/min', 'required' => true])
        ->assertJsonPath('0.attributes.1.name', 'attribute')
        ->assertJsonPath('0.sequence', null);
    $body = ['title' => 'Pump', 'kind' => 'part', 'category' => 'pump', 'unit' => 'pc', 'supply' => 'buy'];
    $this->world
        ->as('jonas', 'POST', '/items', $body)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['attributes.flow_l_min']]);
    $number = $this->world
        ->as('jonas', 'POST', '/items', $body + ['attributes' => ['flow_l_min' => '1.4']])
        ->assertOk()
        ->assertJsonPath('attributes.0.value', '1.4')
        ->json('item.number');
    $this->world
        ->as('vera', 'GET', '/items?category=pump&attribute=flow_l_min&value=1.4')
        ->assertOk()
        ->assertJsonPath('rows.*.number', [$number]);
    $this->world->as('vera', 'GET', '/items?category=pump&attribute=flow_l_min&value=9')->assertOk()->assertJsonPath('rows.*.number', []);
    // Renamed, it keeps its name in the data; left out of the body, it stays.
    $set([['name' => 'flow_l_min', 'label' => 'Flow', 'required' => false]])
        ->assertOk()
        ->assertJsonPath('0.attributes.0.name', 'flow_l_min');
    $this->world
        ->setCategory('tomas', 'pump', [
            'number_prefix' => '200-',
            'number_width' => 5,
            'number_check' => false,
            'sequence' => 'numbers',
        ])
        ->assertOk()
        ->assertJsonPath('0.attributes.0.label', 'Flow')
        ->assertJsonPath('0.sequence', 'numbers');
});

it('keeps the settings of whoever was first', function (): void {
    $rule = ['number_prefix' => '', 'number_width' => 4, 'number_check' => false];
    $set = fn(array $more): TestResponse => $this->world->only('tomas', 'PATCH', '/categories/pump', $more + $rule);
    $set(['version' => 1, 'name' => 'Pumps'])->assertExactJson(['number' => 'pump', 'version' => 2]);
    $set(['version' => 1, 'name' => 'Late'])
        ->assertStatus(409)
        ->assertJsonPath('theirs.name', 'Pumps');
    $set(['name' => 'Blind'])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['version']]);
    expect(DB::table('categories')->where('code', 'pump')->value('name'))->toBe('Pumps');
});

it('puts categories under one another, never under themselves', function (): void {
    $rule = ['number_prefix' => '', 'number_width' => 4, 'number_check' => false];
    $names = fn(): array => array_column($this->world->as('vera', 'GET', '/categories')->assertOk()->json(), 'under', 'code');
    $this->world->as('mira', 'POST', '/categories', ['name' => 'Mechanics'] + $rule)->assertForbidden();
    $this->world
        ->as('tomas', 'POST', '/categories', ['name' => ' '] + $rule)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['name']]);
    $this->world->as('tomas', 'POST', '/categories', ['name' => 'Mechanics'] + $rule)->assertOk();
    $this->world
        ->as('tomas', 'POST', '/categories', ['name' => 'mechanics'] + $rule)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['name']]);
    $this->world->setCategory('tomas', 'pump', ['under' => 'mechanics', 'name' => 'Pump parts'] + $rule)->assertOk();
    expect($names())->toBe(['mechanics' => null, 'pump' => 'mechanics']);
    foreach ([['mechanics', 'pump'], ['mechanics', 'mechanics'], ['pump', 'nothing']] as [$code, $under]) {
        $this->world
            ->setCategory('tomas', $code, ['under' => $under] + $rule)
            ->assertStatus(422)
            ->assertJsonStructure(['errors' => ['under']]);
    }
    // Without a word about it, it stays; what is asked for above finds what is below.
    $this->world->setCategory('tomas', 'pump', $rule)->assertOk();
    expect($names()['pump'])
        ->toBe('mechanics')
        ->and($this->world->as('vera', 'GET', '/items?category=mechanics')->json('rows.*.number'))
        ->toBe($this->world->as('vera', 'GET', '/items?category=pump')->json('rows.*.number'))
        ->not->toBe([]);
    $this->world->setCategory('tomas', 'pump', ['under' => null] + $rule)->assertOk();
    expect($names()['pump'])->toBeNull();
    $this->world->setCategory('tomas', 'none', $rule)->assertNotFound();
});

it('keeps pages for everybody by themselves', function (): void {
    $keep = fn(string $address, string $name, string $by = 'mira') => $this->world->as($by, 'POST', '/favourites', [
        'address' => $address,
        'name' => $name,
    ]);
    $keep('/items?category=pump&status=in_work', 'Pumps in work')
        ->assertOk()
        ->assertJsonPath('0.address', '/items?category=pump&status=in_work');
    $id = $keep('/items?category=pump&status=in_work', 'New pumps')
        ->assertOk()
        ->assertJsonCount(1)
        ->assertJsonPath('0.name', 'New pumps')
        ->json('0.id');
    foreach (['//elsewhere.example', 'https://elsewhere.example', '/\\elsewhere.example', 'items'] as $foreign) {
        $keep($foreign, 'Away')
            ->assertStatus(422)
            ->assertJsonStructure(['errors' => ['address']]);
    }
    $keep('/desk', '')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['name']]);
    $this->world->as('jonas', 'GET', '/favourites')->assertJsonCount(0);
    $this->world->as('jonas', 'DELETE', "/favourites/{$id}")->assertOk();
    $this->world->as('mira', 'GET', '/favourites')->assertJsonCount(1);
    $this->world
        ->as('mira', 'DELETE', "/favourites/{$id}")
        ->assertOk()
        ->assertJsonCount(0);
});

it('shares a view with the people of a group, who cannot change it', function (): void {
    $this->world->people['nils']->update(['roles' => [ShippedRole::Administrator->value]]);
    $group = fn(array $members) => $this->world->only('nils', 'PUT', '/groups/board', [
        'name' => 'Board',
        'members' => $members,
        'retired' => false,
        'version' => DB::table('groups')->value('version'),
    ]);
    $group(['mira', 'helen'])->assertOk();
    $keep = fn(string $by, string $name) => $this->world->only($by, 'POST', '/favourites', [
        'address' => '/items',
        'name' => $name,
        'group' => 'board',
    ]);
    $keep('jonas', 'Pumps')->assertStatus(422)->assertJsonValidationErrors('group');
    $keep('mira', 'Pumps')->assertNoContent();
    $this->world->as('helen', 'GET', '/favourites')->assertJsonPath('0.name', 'Pumps')->assertJsonPath('0.shared_by', 'Mira');
    $this->world->as('mira', 'GET', '/favourites')->assertJsonPath('0.shared_by', null)->assertJsonPath('0.group', 'board');
    $this->world->as('jonas', 'GET', '/favourites')->assertJsonCount(0);
    $this->world->only('helen', 'DELETE', '/favourites/' . DB::table('favourites')->value('id'))->assertNoContent();
    // One's own of the same page stands beside it.
    $keep('helen', 'Mine')->assertNoContent();
    $this->world->as('helen', 'GET', '/favourites')->assertJsonCount(2);
    $group(['helen'])->assertOk();
    $this->world->as('helen', 'GET', '/favourites')->assertJsonCount(2);
    $this->world->as('mira', 'GET', '/favourites')->assertJsonCount(1)->assertJsonPath('0.name', 'Pumps');
    $this->world->only('mira', 'POST', '/favourites', ['address' => '/items', 'name' => 'Pumps'])->assertNoContent();
    $this->world->as('helen', 'GET', '/favourites')->assertJsonCount(1)->assertJsonPath('0.name', 'Mine');
});

it('tells a manufacturing structure as a plant sees it', function (): void {
    $this->world->built('200-0010', 'Weir', [[10, '200-0040', 1, 'm'], [20, '200-0042', 1, 'pc']]);
    $this->world->built('200-0010', 'Tarn', [[10, '200-0041', 1, 'm']]);
    $this->world->built('200-0001', 'Tarn', [[10, '200-0010', 1, 'pc']]);
    $tree = fn(string $query) => $this->world->as('vera', 'GET', "/items/200-0001/structure?levels=3&kind=manufacturing{$query}");
    $tree('&plant=Weir')
        ->assertOk()
        ->assertJsonPath('rows.*.line.component', ['200-0010', '200-0040', '200-0042'])
        ->assertJsonPath('plant', 'Weir');
    $tree('&plant=Tarn')
        ->assertOk()
        ->assertJsonPath('rows.*.line.component', ['200-0010', '200-0041']);
    $tree('')
        ->assertOk()
        ->assertJsonPath('rows.*.line.component', ['200-0010', '200-0041']);
    $tree('&plant=Nowhere')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['plant']]);
    $this->world->as('vera', 'GET', '/items/200-0001/structure?plant=Weir')->assertStatus(422);
    expect($this->world->as('vera', 'GET', '/items/200-0001/summary?kind=manufacturing&plant=Weir')->json('total'))->toBe(3);
    $this->world->as('vera', 'GET', '/items/200-0041/where-used?kind=manufacturing&plant=Weir')->assertJsonPath('total', 0);
    $this->world
        ->as(
            'vera',
            'GET',
            '/comparison?left=200-0001&right=200-0001&left_kind=manufacturing&right_kind=manufacturing&left_plant=Weir&right_plant=Tarn',
        )
        ->assertOk()
        ->assertJsonPath('left.plant', 'Weir')
        ->assertJsonPath('totals.replaced', 1)
        ->assertJsonPath('totals.removed', 1);
});

it('finds words in any form, also of supplier, material, attributes and descriptions', function (): void {
    DB::table('items')
        ->where('number', '200-0042')
        ->update(['supplier' => 'Lindqvist Plastics', 'material' => 'Stainless steel', 'attributes' => json_encode(['colour' => 'blue'])]);
    foreach (['clamps', 'lindqvist', 'stainless', 'blue', 'tube clam'] as $words) {
        $this->world
            ->as('vera', 'GET', '/items?words=' . urlencode($words))
            ->assertOk()
            ->assertJsonPath('rows.*.number', ['200-0042']);
    }
    $this->world->as('jonas', 'POST', '/requests', $this->world->request(['description' => 'Gaskets hardened in frost.']))->assertOk();
    $this->world
        ->as('vera', 'GET', '/changes?show=all&words=' . urlencode('gasket hardening'))
        ->assertOk()
        ->assertJsonPath('total', 1);
});

it('keeps how each person lays out a table, one table at a time, and nothing that is no layout', function (): void {
    $lay = fn(string $name, mixed $layout, string $by = 'vera') => $this->world->as($by, 'PUT', "/table-layouts/{$name}", $layout);
    $items = ['order' => ['title', 'number'], 'visibility' => ['unit' => false], 'sizing' => ['title' => 240]];
    // Each request reads the person anew.
    $session = function (string $by): TestResponse {
        $this->world->people[$by]->refresh();

        return $this->world->as($by, 'GET', '/session');
    };
    $plain = ['order' => [], 'visibility' => (object) [], 'sizing' => (object) []];
    $lay('items', $items)->assertOk();
    $lay('register', ['order' => ['number']] + $plain)->assertOk();
    expect($session('vera')->json('table_layouts.items'))
        ->toBe($items)
        ->and($session('vera')->json('table_layouts.register.order'))
        ->toBe(['number'])
        // Nobody else sees them so, and whoever has none has an empty object.
        ->and($session('mira')->getContent())
        ->toContain('"table_layouts":{}');
    $lay('items', $plain)->assertOk();
    expect($session('vera')->json('table_layouts.items.order'))->toBe([]);

    foreach (
        [
            ['order' => [['x']]],
            ['order' => ["a\0b"]],
            ['visibility' => ['unit' => 'yes']],
            ['sizing' => ['title' => 9_000]],
            ['sizing' => ['a b' => 90]],
            ['visibility' => 'all'],
        ]
        as $wrong
    ) {
        $lay('items', $wrong + $plain)->assertStatus(422);
    }
    $lay('Items!', $items)->assertNotFound();
    expect($session('vera')->json('table_layouts.items.sizing'))->toBe([]);
});

it('begins the day of a plant where the plant is, and all other days where the installation is', function (): void {
    config(['app.timezone' => 'UTC']);
    DB::table('plants')->insert(['code' => 'Tarn', 'time_zone' => 'Pacific/Auckland']);
    $this->travelTo(new DateTimeImmutable('2026-11-26 20:00:00 UTC'));
    // At eight in the evening here it is the next morning there.
    expect((string) Today::day())
        ->toBe('2026-11-26')
        ->and((string) Today::day('Tarn'))
        ->toBe('2026-11-27')
        ->and((string) Today::day('Weir'))
        ->toBe('2026-11-26');
    $on = fn(string $query): string => $this->world
        ->as('vera', 'GET', "/items/200-0001/structure?kind=manufacturing{$query}")
        ->assertOk()
        ->json('on');
    expect($on(''))
        ->toBe('2026-11-26')
        ->and($on('&plant=Tarn'))
        ->toBe('2026-11-27')
        ->and($on('&plant=Tarn&on=2026-11-20'))
        ->toBe('2026-11-20');
});

it('starts a server at the next port when the one it wants is held', function (): void {
    $socket = stream_socket_server('tcp://127.0.0.1:0');
    $held = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
    $free = fn(): int => (int) shell_exec('bash -c ' . escapeshellarg(". bin/lib/common.sh; free_port {$held}"));
    expect($free())->toBeGreaterThan($held);
    fclose($socket);
    expect($free())->toBe($held);
    // And what a server says when somebody else was quicker is understood, in the words of each.
    foreach (
        [
            'bind() to 127.0.0.1:8180 failed (98: Address already in use)',
            'could not bind IPv4 address "127.0.0.1": Address already in use',
            'Failed to listen on 127.0.0.1:8181 (reason: Address already in use)',
        ]
        as $said
    ) {
        file_put_contents($log = tempnam(sys_get_temp_dir(), 'orthotaxis-log-'), $said);
        exec('bash -c ' . escapeshellarg(". bin/lib/common.sh; taken {$log}"), $out, $status);
        expect($status)->toBe(0);
        file_put_contents($log, 'invalid value for parameter');
        exec('bash -c ' . escapeshellarg(". bin/lib/common.sh; taken {$log}"), $out, $status);
        expect($status)->toBe(1);
        unlink($log);
    }
});

it('lets hand-overs go before long work, and begins no job a second time while it may still be at work', function (): void {
    expect((new DeliverHandover(1))->queue)->toBe('urgent')->and((new RunImport('x'))->queue)->toBe('long');
    foreach (['database', 'redis'] as $connection) {
        expect(config()->integer("queue.connections.{$connection}.retry_after"))->toBeGreaterThan((new RunImport('x'))->timeout);
    }
    // The start command has workers for all of them, and one that long work never has.
    preg_match('/for queues in ([^;]+); do/', (string) file_get_contents(base_path('bin/lib/servers.sh')), $workers);
    expect(explode(' ', $workers[1]))->toBe(['urgent,default', 'urgent,default,long']);
});
