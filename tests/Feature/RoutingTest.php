<?php

declare(strict_types=1);

use Illuminate\Database\QueryException;
use Illuminate\Http\Client\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->world->built('200-0010', 'Weir', [[10, '200-0040', 0.5, 'm', 10], [20, '200-0042', 2, 'pc', 10], [30, '600-0014', 6, 'pc', 20]]);
    foreach (['PUMP' => false, 'OLD' => true] as $code => $retired) {
        DB::table('work_centres')->insert(['plant' => 'Weir', 'code' => $code, 'name' => $code, 'rate' => 480_000, 'retired' => $retired]);
    }
    $this->order = $this->world->order();
    $this->set = function (string $item, string $outcome): void {
        $this->world
            ->only('mira', 'PUT', "/orders/{$this->order}/items/{$item}", [
                'outcome' => $outcome,
                'disposition' => $outcome === 'build' ? null : 'use_up',
                'version' => $this->world->version($this->order),
            ])
            ->assertOk();
    };
    $this->open = function (): void {
        $this->world
            ->only('mira', 'PATCH', "/orders/{$this->order}", [
                'editor' => 'jonas',
                'signer' => 'helen',
                'effective_on' => World::day(30),
                'version' => $this->world->version($this->order),
            ])
            ->assertOk();
        $this->world
            ->only('mira', 'POST', "/orders/{$this->order}/opening", ['version' => $this->world->version($this->order)])
            ->assertOk();
    };
    ($this->set)('200-0040', 'keep');
    ($this->set)('200-0010', 'build');
    ($this->open)();
    $this->path = "/orders/{$this->order}/items/200-0010/plants/Weir";
    $this->page = fn(string $by = 'jonas') => $this->world->as($by, 'GET', "{$this->path}/redline")->assertOk();
    $this->edits = fn(array $edits, ?int $seen = null, string $by = 'jonas') => $this->world->only($by, 'POST', "{$this->path}/edits", [
        'edits' => array_map(
            static fn(array $edit): array => ['edit' => $edit[0], 'part' => $edit[1], 'fields' => (object) $edit[2]],
            $edits,
        ),
        'seen' => $seen ?? ($this->page)()->json('seen'),
    ]);
    $this->key = fn(int $find): string => collect(($this->page)()->json('rows'))->firstWhere('before.find', $find)['key'];
    $this->operation = fn(int $number): string => collect(($this->page)()->json('operations'))->firstWhere('after.number', $number)['key'];
    $this->routed = function (): void {
        ($this->edits)([
            ['add_operation', '', ['number' => '10', 'title' => 'Fit rotor', 'work_centre' => 'PUMP', 'set_up' => '15', 'run' => '2.5']],
            ['add_operation', '', ['number' => '20', 'title' => 'Coat', 'supplier' => 'Fjellheim Coating', 'lead_time' => '6']],
            ['set_batch', '', ['batch' => '10']],
        ])->assertOk();
    };
});

it('adds a consumable at one operation, without a new engineering revision, and planning is told where', function (): void {
    World::planningTakes();
    ($this->routed)();
    ($this->edits)([
        ['add', '', ['find' => '40', 'component' => '710-0001', 'quantity' => '0.2', 'operation' => '10', 'scrap' => '5']],
    ])->assertOk();
    ($this->page)()
        ->assertJson(['base' => 'A', 'becomes' => 'B', 'batch_before' => '1', 'batch' => '10', 'open' => 0, 'faults' => []])
        ->assertJsonPath('operations.*.mark', ['added', 'added'])
        ->assertJsonPath('cost.labour', '2.00')
        ->assertJsonPath('cost.set_up_cost', '1.20')
        ->assertJsonPath('cost.missing', ['Operation 20: nobody knows what Fjellheim Coating takes for it.'])
        ->assertJsonPath('rows.3.mark', 'added')
        // In the unit of the component.
        ->assertJsonPath('rows.3.after.unit', 'g');
    $this->world->released($this->order);

    $released = DB::table('contents')
        ->where(['kind' => 'manufacturing', 'plant' => 'Weir', 'code' => 'B'])
        ->first();
    expect($released?->status)
        ->toBe('released')
        ->and(DB::table('revisions')->where('item_id', $this->world->items['200-0010'])->pluck('code')->all())
        ->toBe(['A'])
        ->and(DB::table('operations')->where('content_id', $released?->id)->orderBy('number')->pluck('title', 'number')->all())
        ->toBe([10 => 'Fit rotor', 20 => 'Coat'])
        ->and(DB::table('routings')->where('content_id', $released?->id)->value('batch'))
        ->toBe(10_000_000);
    Http::assertSent(static function (Request $request): bool {
        if (!str_ends_with($request->url(), '/hand-overs')) {
            return false;
        }
        $xml = simplexml_load_string($request->body()) ?: throw new LogicException('No XML.');
        $entries = [];
        foreach ($xml->entry as $entry) {
            $entries[] = trim(
                "{$entry['action']} {$entry['plant']} {$entry['operation']} {$entry['component']} {$entry['batch']}{$entry['workCentre']}",
            );
        }

        return $entries === [
            'supersede Weir   10',
            'add Weir 10  PUMP',
            'add Weir 20',
            'keep Weir 10 200-0040',
            'keep Weir 10 200-0042',
            'keep Weir 20 600-0014',
            'add Weir 10 710-0001',
        ];
    });
    $this->artisan('ledger:verify')->assertSuccessful();
    // The order still says what it started from.
    ($this->page)()->assertJson(['base' => 'A', 'becomes' => 'B']);
    // From its first day on it is read with the item, with what one unit takes.
    $routing = fn(int $days, string $plant = '') => $this->world
        ->as('vera', 'GET', '/items/200-0010/routing?on=' . World::day($days) . $plant)
        ->assertOk();
    $routing(29)->assertJson(['plant' => 'Weir', 'built' => 'A', 'operations' => [], 'batch' => '1']);
    $routing(30, '&plant=Weir')
        ->assertJson([
            'built' => 'B',
            'plants' => ['Weir'],
            'batch' => '10',
            'cost' => ['run' => '2.5', 'set_up' => '1.5', 'labour' => '2.00'],
        ])
        ->assertJsonPath('operations.*.number', [10, 20]);
    // The ruler has the revisions of the plant, not those of engineering.
    $tree = fn(int $days, string $kind = 'manufacturing'): array => $this->world
        ->as('vera', 'GET', "/items/200-0010/structure?kind={$kind}&on=" . World::day($days))
        ->json();
    expect([$tree(29)['revision']['code'], $tree(30)['revision']['code'], array_column($tree(30)['built'], 'code')])
        ->toBe(['A', 'B', ['B', 'A']])
        ->and([$tree(30, 'engineering')['revision']['code'], $tree(30, 'engineering')['built']])
        ->toBe(['A', []])
        ->and($tree(30)['built'][0]['order'])
        ->toBe($this->order);
    // So are its lines, alone and with what is above, though the revision of the item began long before.
    $lines = fn(string $item, int $days, string $path): array => $this->world
        ->as('vera', 'GET', "/items/{$item}/structure?kind=manufacturing&plant=Weir&levels=2&on=" . World::day($days))
        ->json("rows.*.{$path}");
    expect([count($lines('200-0010', 29, 'line.component')), count($lines('200-0010', 30, 'line.component'))])->toBe([3, 4]);
    $this->world->built('200-0001', 'Weir', [[10, '200-0010', 1, 'pc']]);
    expect($lines('200-0001', 30, 'line.component'))->toHaveCount(5)->toContain('710-0001');
    expect(
        $this->world
            ->as('vera', 'GET', '/items/200-0001/structure/csv?kind=manufacturing&plant=Weir&on=' . World::day(30))
            ->streamedContent(),
    )->toContain('710-0001');
    $routing(30, '&plant=Tarn')->assertJson(['plant' => null, 'operations' => []]);
    $this->world->as('vera', 'GET', '/items/200-0010/routing?plant=Moon')->assertStatus(422);
});

it('keeps a released routing as it is, in the database too', function (string $statement): void {
    World::planningTakes();
    ($this->routed)();
    $this->world->released($this->order);
    expect(static fn() => DB::transaction(static fn() => DB::statement($statement)))->toThrow(QueryException::class, 'never changes');
})->with([
    'an operation' => ['UPDATE operations SET run = 1'],
    'one more' => [
        "INSERT INTO operations (content_id, key, number, title, work_centre) SELECT content_id, gen_random_uuid(), 99, 'More', 'PUMP' FROM operations LIMIT 1",
    ],
    'one less' => ['DELETE FROM operations'],
    'the batch' => ['UPDATE routings SET batch = 1'],
]);

it('refuses what cannot be, with its place, and saves nothing', function (array $edit, string $place, string $told): void {
    ($this->routed)();
    $edit[1] = match ($edit[1]) {
        'line' => ($this->key)(10),
        'first' => ($this->operation)(10),
        'second' => ($this->operation)(20),
        default => '',
    };
    $seen = ($this->page)()->json('seen');
    $errors = ($this->edits)([['set_batch', '', ['batch' => '12']], $edit])
        ->assertStatus(422)
        ->json('errors');
    expect(array_keys($errors))
        ->toBe(["edits.1.{$place}"])
        ->and($errors["edits.1.{$place}"][0])
        ->toContain($told);
    expect(($this->page)()->json('seen'))->toBe($seen);
})->with([
    'no such operation' => [['change', 'line', ['operation' => '30']], 'operation', 'There are 10, 20.'],
    'components at it' => [['remove_operation', 'first', []], 'operation', 'Operation 10 consumes 200-0040, 200-0042'],
    'twice' => [['change_operation', 'first', ['number' => '20']], 'number', 'Operation 20 is there already'],
    'minutes below zero' => [['change_operation', 'first', ['run' => '-1']], 'run', 'from 0'],
    'no such work centre' => [['change_operation', 'first', ['work_centre' => 'MOON']], 'work_centre', 'It has PUMP.'],
    'retired' => [['change_operation', 'first', ['work_centre' => 'OLD']], 'work_centre', 'retired'],
    'no tool' => [['change_operation', 'first', ['tools' => '600-0014']], 'tools', '600-0014 is no tool.'],
    'no document' => [['change_operation', 'first', ['instruction' => '999-9999']], 'instruction', '999-9999'],
    'a unit that does not convert' => [['change', 'line', ['unit' => 'kg']], 'unit', 'does not measure the same'],
    'inside itself' => [['replace', 'line', ['component' => '200-0010', 'unit' => 'pc', 'quantity' => '1']], 'component', 'inside itself'],
    'a strange field' => [['change', 'line', ['run' => '1']], 'run', 'no such field'],
    'a batch of nothing' => [['set_batch', '', ['batch' => '0']], 'batch', 'more than nothing'],
]);

it('takes edits back and makes them again', function (): void {
    ($this->routed)();
    ($this->edits)([['change_operation', ($this->operation)(10), ['number' => '15']]])->assertOk();
    // The lines follow their operation.
    ($this->page)()->assertJsonPath('rows.0.after.operation', 15)->assertJsonPath('rows.2.after.operation', 20);
    $turn = fn(string $which) => $this->world->only(
        'jonas',
        'POST',
        str_replace('/plants/', '/works/manufacturing:', $this->path) . "/{$which}",
    );
    $turn('redo')->assertStatus(422);
    $turn('undo')->assertOk();
    ($this->page)()
        ->assertJson(['can_undo' => true, 'can_redo' => true])
        ->assertJsonPath('rows.0.after.operation', 10);
    $turn('redo')->assertOk();
    ($this->page)()
        ->assertJson(['can_redo' => false])
        ->assertJsonPath('rows.0.after.operation', 15);
});

it('is edited by the person named on the order, who sees what is there', function (): void {
    ($this->routed)();
    ($this->edits)([['set_batch', '', ['batch' => '20']]], 0)->assertStatus(409);
    ($this->edits)([['set_batch', '', ['batch' => '20']]], null, 'vera')->assertStatus(403);
    expect(($this->page)('vera')->json('may_edit'))->toBeFalse();
    $this->world
        ->only('jonas', 'POST', "/orders/{$this->order}/items/200-0010/plants/Moon/edits", [
            'edits' => [['edit' => 'set_batch', 'part' => '', 'fields' => ['batch' => '2']]],
            'seen' => 0,
        ])
        ->assertStatus(422)
        ->assertJsonPath('errors.plant.0', 'There is no plant Moon.');
});

it('asks for an edit of what is only built in another way, before it is judged', function (): void {
    $this->world
        ->only('jonas', 'POST', "/orders/{$this->order}/review", ['version' => $this->world->version($this->order)])
        ->assertStatus(422)
        ->assertJsonPath('errors.edits.0', '200-0010: nothing is changed yet.');
    // What has been edited at a plant stays on the order.
    ($this->routed)();
    $this->world
        ->only('mira', 'PUT', "/orders/{$this->order}/items/200-0010", [
            'outcome' => 'keep',
            'disposition' => 'use_up',
            'version' => $this->world->version($this->order),
        ])
        ->assertStatus(422);
});

it('says what products take and cost more, plant by plant, while it is edited and in review', function (): void {
    ($this->routed)();
    $consequences = fn(): array => $this->world
        ->as('jonas', 'GET', "/orders/{$this->order}/consequences")
        ->assertOk()
        ->json();
    // The module is not built at Weir: no product has the head in it there.
    expect($consequences()['built'])->toBe([]);
    $this->world->built('200-0001', 'Weir', [[10, '200-0010', 2, 'pc']]);
    ($this->edits)([['add', '', ['find' => '40', 'component' => '710-0001', 'quantity' => '10', 'operation' => '10']]])->assertOk();
    $row = [
        'product' => '200-0001',
        'title' => 'Pump module',
        'plant' => 'Weir',
        // Twice 2.5 and a tenth of fifteen; before there was no routing.
        'minutes' => '8',
        // Twice: ten grams at 0.09, 2.00 of labour and 1.20 of set-up.
        'difference' => '8.20',
    ];
    expect($consequences()['built'])->toBe([$row]);
    $this->world->only('jonas', 'POST', "/orders/{$this->order}/review", ['version' => $this->world->version($this->order)])->assertOk();
    expect($this->world->as('helen', 'GET', "/orders/{$this->order}/review")->json('consequences.built'))->toBe([$row]);
});
