<?php

declare(strict_types=1);

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    DB::table('items')->update(['lead_time_days' => 0]);
    DB::table('items')
        ->where('number', '200-0041')
        ->update(['lead_time_days' => 40]);
    $this->told = static fn(): array => [
        // Each module takes one head, each head half a metre of tube.
        ['sales_order', 'SO-1', '200-0001', '40', 'pc', World::day(10), 'confirmed'],
        ['forecast', 'FC-6', '200-0001', '20', 'pc', World::day(42), 'forecast'],
        // Ten of the forecast of that week are sold already.
        ['sales_order', 'SO-2', '200-0001', '10', 'pc', World::day(44), 'confirmed'],
        ['stock', 'LOT-1', '200-0010', '6', 'pc', null, 'free'],
        ['work_order', 'WO-1', '200-0010', '4', 'pc', World::day(20), 'planned'],
        ['stock', 'LOT-2', '200-0040', '18', 'm', null, 'free'],
        ['stock', 'LOT-3', '200-0040', '99', 'm', null, 'service stock'],
        ['purchase_order', 'PO-1', '200-0040', '100', 'm', World::day(60), 'ordered'],
        ['purchase_order', 'PO-2', '200-0040', '7', 'm', World::day(5), 'confirmed'],
        ['stock', 'LOT-9', '200-0041', '2', 'm', null, 'free'],
    ];
    $rows = ($this->told)();
    $this->planning = static fn() => Http::fake([
        '*/supply' => static fn($request) => Http::response([
            'rows' => array_values(
                array_filter(
                    array_map(
                        static fn(array $r): array => [
                            'kind' => $r[0],
                            'document' => $r[1],
                            'item' => $r[2],
                            'revision' => 'A',
                            'quantity' => $r[3],
                            'unit' => $r[4],
                            'unit_value' => '10.00',
                            'due' => $r[5],
                            'place' => 'Weir',
                            'status' => $r[6],
                        ],
                        $rows,
                    ),
                    static fn(array $row): bool => in_array($row['item'], $request->data()['items'], true),
                ),
            ),
        ]),
    ]);
    $this->swap = [['gone' => ['200-0040'], 'come' => [['item' => '200-0041']]]];
    // What is said of the old part stands second.
    $this->ask = fn(array $more = [], array $old = []) => $this->world->as(
        'vera',
        'POST',
        '/cut-in',
        ['swaps' => $this->swap] + ($old === [] ? [] : ['parts' => [['item' => '200-0040'] + $old]]) + $more,
    );
    $this->part = static fn($page, string $number, string $plant = 'Weir'): ?array => collect(
        collect($page->json('plants'))->firstWhere('plant', $plant)['parts'] ?? [],
    )->firstWhere('item.number', $number);
});

it('starts from what the order swaps, else from the items the change affects', function (): void {
    $request = $this->world->as('jonas', 'POST', '/requests', $this->world->request(['items' => ['200-0040']]))->json('number');
    $start = fn(string $number) => $this->world
        ->as('vera', 'GET', "/requests/{$number}/cut-in")
        ->assertOk()
        ->json();
    expect($start($request))->toBe([
        'read_off' => 'items',
        'swaps' => [['gone' => ['200-0040'], 'come' => [], 'parents' => []]],
        'more' => 0,
    ]);

    $order = $this->world->opened();
    $this->world->edit($order, 'replace', 10, ['component' => '200-0041', 'quantity' => '0.6'])->assertOk();
    $of = DB::table('change_order_requests')
        ->join('change_requests', 'change_requests.id', 'request_id')
        ->join('change_orders', 'change_orders.id', 'order_id')
        ->where('change_orders.number', $order)
        ->value('change_requests.number');
    expect($start($of))->toBe([
        'read_off' => 'order',
        'swaps' => [['gone' => ['200-0040'], 'come' => [['item' => '200-0041', 'ratio' => '1.2']], 'parents' => ['200-0010']]],
        'more' => 0,
    ]);
});

it('nets what is sold down to the part, day by day, and finds when it runs out', function (): void {
    ($this->planning)();
    $page = ($this->ask)(['approval_days' => 3])->assertOk();
    $tube = ($this->part)($page, '200-0040');
    $demand = array_filter(array_map(floatval(...), $tube['until']));
    // 40 modules need 40 heads on day 10, less 6 on the shelf: 17 m. The order of day 20 takes its tube then: 2 m, and gives 4 heads for
    // the 20 modules of day 42 and 44, so that 16 more are made: 8 m in all.
    expect($demand)
        ->toBe([10 => 17.0, 20 => 2.0, 42 => 3.0, 44 => 5.0])
        ->and($tube['stock'])
        ->toBe('18')
        ->and(array_filter(array_map(floatval(...), ($this->part)($page, '200-0041')['from_then'])))
        ->toBe($demand)
        ->and($page->json('run_out'))
        ->toBe(World::day(44))
        // Two metres of the new one are there; more can come forty days after the release: two last from day 43 on till the next morning.
        ->and($page->json('best.earliest'))
        ->toBe(World::day(43))
        ->and($page->json('fault'))
        ->toBeNull();
});

it('goes by what plants build: kits, scrap, and what only they add; by engineering where nobody builds an item', function (): void {
    ($this->planning)();
    // Weir makes the head from a kit that has the tube in millimetres, with a tenth lost, from the day after tomorrow on.
    $this->world->built('200-0042', 'Weir', [[10, '200-0040', 500, 'mm', 10]], function (int $kit): void {
        DB::table('structure_lines')
            ->where('content_id', $kit)
            ->update(['scrap' => 100_000]);
    });
    $this->world->built('200-0010', 'Weir', [[10, '200-0042', 1, 'pc', 10], [30, '600-0014', 6, 'pc', 20]]);
    $demand = fn(string $plant = 'Weir'): array => array_filter(
        array_map(floatval(...), ($this->part)(($this->ask)(['approval_days' => 3])->assertOk(), '200-0040', $plant)['until'] ?? []),
    );
    // The same heads as above, each with 0.55 m in its kit.
    expect($demand())->toEqualWithDelta([10 => 18.7, 20 => 2.2, 42 => 3.3, 44 => 5.5], 0.000001);
    // Tarn builds the head without a tube: nothing is wanted of it there.
    $this->world->built('200-0010', 'Tarn', [[30, '600-0014', 6, 'pc', 20]]);
    expect($demand('Tarn'))
        ->toBe([])
        ->and($demand())
        ->toEqualWithDelta([10 => 18.7, 20 => 2.2, 42 => 3.3, 44 => 5.5], 0.000001);
});

it('plans plants apart: what one has from the other is wanted there, some working days earlier', function (): void {
    $row = static fn(string $kind, string $document, string $item, string $quantity, string $unit, ?int $day, string $place): array => [
        'kind' => $kind,
        'document' => $document,
        'item' => $item,
        'revision' => 'A',
        'quantity' => $quantity,
        'unit' => $unit,
        'unit_value' => '10.00',
        'due' => $day === null ? null : World::day($day),
        'place' => $place,
        'status' => 'free',
    ];
    Http::fake([
        '*/supply' => Http::response([
            'rows' => [
                $row('sales_order', 'SO-1', '200-0001', '10', 'pc', 60, 'Tarn'),
                $row('stock', 'LOT-1', '200-0010', '3', 'pc', null, 'Tarn'),
                $row('stock', 'LOT-2', '200-0040', '1', 'm', null, 'Tarn'),
                $row('stock', 'LOT-3', '200-0040', '9', 'm', null, 'Weir'),
                $row('stock', 'LOT-4', '200-0040', '5', 'm', null, 'Moon'),
            ],
        ]),
    ]);
    $this->world->built('200-0001', 'Tarn', [[10, '200-0010', 1, 'pc', 10]]);
    $this->world->built('200-0010', 'Weir', [[10, '200-0040', 0.5, 'm', 10]]);
    $page = ($this->ask)()->assertOk();
    $tube = ($this->part)($page, '200-0040');
    // Three heads lie at Tarn; seven are brought there in two days. The tube of no use at Tarn counts too, and that at no plant.
    expect(array_filter(array_map(floatval(...), $tube['until'])))
        ->toBe([58 => 3.5])
        ->and($tube['stock'])
        ->toBe('15')
        ->and(array_column($page->json('plants'), 'plant'))
        ->toBe(['Weir'])
        ->and($page->json('plants.0.has_calendar'))
        ->toBeFalse()
        ->and($page->json('other_places'))
        ->toBe(['Moon']);
    // With a calendar only its working days are offered, and two working days are four days over a weekend.
    DB::table('plants')->insert([
        ['code' => 'Tarn', 'weekdays' => json_encode([CarbonImmutable::today()->addDays(60)->dayOfWeekIso]), 'shifts' => '06:00-14:00'],
        ['code' => 'Weir', 'weekdays' => '[1, 2, 3, 4, 5]', 'shifts' => '06:00-14:00'],
    ]);
    $page = ($this->ask)(['anew' => true])->assertOk();
    expect(array_filter(array_map(floatval(...), ($this->part)($page, '200-0040')['until'])))
        ->toBe([46 => 3.5])
        ->and($page->json('plants.0.has_calendar'))
        ->toBeTrue();
    foreach ($page->json('days') as $day) {
        $isWorkday = CarbonImmutable::parse($day['on'])->isWeekday();
        expect($day['possible'] && !$isWorkday)
            ->toBeFalse()
            ->and(in_array($day['on'], $page->json('plants.0.closed'), true))
            ->toBe(!$isWorkday);
    }
});

it('lets engineering hold until a plant builds an item', function (): void {
    ($this->planning)();
    $this->world->built('200-0010', 'Weir', [[30, '600-0014', 6, 'pc', 20]]);
    DB::statement('ALTER TABLE contents DISABLE TRIGGER USER');
    DB::table('contents')
        ->where('kind', 'manufacturing')
        ->update(['effective_from' => World::day(15)]);
    DB::statement('ALTER TABLE contents ENABLE TRIGGER USER');
    $demand = ($this->ask)(['approval_days' => 3])
        ->assertOk()
        ->json('plants.0.parts.0.until');
    expect(array_filter(array_map(floatval(...), $demand)))->toBe([10 => 17.0]);
});

it('starts from what is swapped at a plant alone, once where engineering swaps the same', function (): void {
    $this->world->built('200-0010', 'Weir', [[10, '200-0040', 500, 'mm', 10], [20, '200-0042', 2, 'pc', 10]]);
    $order = $this->world->opened();
    $this->world->edit($order, 'replace', 10, ['component' => '200-0041', 'quantity' => '0.6'])->assertOk();
    $line = fn(int $find): string => collect(
        $this->world->as('jonas', 'GET', "/orders/{$order}/items/200-0010/plants/Weir/redline")->json('rows'),
    )->firstWhere('before.find', $find)['key'];
    $this->world
        ->only('jonas', 'POST', "/orders/{$order}/items/200-0010/plants/Weir/edits", [
            'edits' => [
                ['edit' => 'replace', 'part' => $line(10), 'fields' => ['component' => '200-0041', 'quantity' => '600', 'unit' => 'mm']],
                ['edit' => 'replace', 'part' => $line(20), 'fields' => ['component' => '600-0014', 'quantity' => '6']],
            ],
            'seen' => 0,
        ])
        ->assertOk();
    $of = DB::table('change_order_requests')
        ->join('change_requests', 'change_requests.id', 'request_id')
        ->join('change_orders', 'change_orders.id', 'order_id')
        ->where('change_orders.number', $order)
        ->value('change_requests.number');
    expect(
        $this->world
            ->as('vera', 'GET', "/requests/{$of}/cut-in")
            ->assertOk()
            ->json('swaps'),
    )
        ->toBe([
            ['gone' => ['200-0040'], 'come' => [['item' => '200-0041', 'ratio' => '1.2']], 'parents' => ['200-0010']],
            ['gone' => ['200-0042'], 'come' => [['item' => '600-0014', 'ratio' => '3']], 'parents' => ['200-0010']],
        ])
        ->and($this->world->as('vera', 'GET', "/orders/{$order}/consequences")->json('affected'))
        ->toContain('200-0042');
});

it('adds up what each day costs, and tells its documents', function (): void {
    ($this->planning)();
    $page = ($this->ask)(['per_straddling_order' => '30'], ['disposition' => 'scrap'])->assertOk();
    foreach ($page->json('days') as $day) {
        $sum = array_sum(
            array_map(static fn(string $part): int => (int) round(10_000 * (float) $day[$part]), [
                'leftover',
                'cancellation',
                'shortage',
                'straddling',
                ...$page->json('counts_recurring') ? ['recurring'] : [],
            ]),
        );
        expect($sum)->toBe((int) round(10_000 * (float) $day['total']));
    }
    // On day 30 six metres are left; the 100 of day 60 are cancelled for five percent of 1000.
    expect($page->json('days.30.cancellation'))
        ->toBe('50.00')
        ->and($page->json('days.30.leftover'))
        ->toBe('58.80')
        ->and(collect($page->json('documents'))->firstWhere('document', 'PO-1')['cancel_fee'])
        ->toBe('50.00')
        ->and(collect($page->json('documents'))->firstWhere('document', 'PO-2')['cancel_fee'])
        ->toBeNull();
    // A quarter of it reworked at one, which saves a new one at 12.60 for one at 9.80; the rest is lost whole: 6.90 for each of six metres.
    expect(($this->ask)([], ['disposition' => 'scrap', 'rework_percent' => 25, 'rework_cost' => '1'])->json('days.30.leftover'))->toBe(
        '41.40',
    );
    ($this->ask)([], ['rework_percent' => 101])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['parts.0.rework_percent']]);
    $let = ($this->ask)(['not_cancelled' => ['PO-1']])->assertOk();
    expect($let->json('days.30.cancellation'))->toBe('0.00')->and((float) $let->json('days.30.leftover'))->toBeGreaterThan(1000);
    expect((float) ($this->ask)([], ['keep' => '6', 'disposition' => 'scrap'])->json('days.30.leftover'))->toBe(0.0);
});

it('tells what a day costs down to the single order, adding up to its parts', function (): void {
    ($this->planning)();
    $question = ['swaps' => $this->swap, 'per_straddling_order' => '30'];
    $days = $this->world->as('vera', 'POST', '/cut-in', $question)->json('days');
    $rows = fn(int $day): array => $this->world
        ->as('vera', 'POST', '/cut-in/rows', $question + ['on' => World::day($day)])
        ->assertOk()
        ->json();
    foreach ([0, 12, 30, 50] as $day) {
        $sums = array_fill_keys(['leftover', 'cancellation', 'shortage', 'straddling', 'recurring'], 0);
        foreach ($rows($day) as $row) {
            $sums[$row['part']] += (int) round(10_000 * (float) $row['amount']);
        }
        expect($sums)->toBe(
            array_map(
                static fn(string $part): int => (int) round(10_000 * (float) $days[$day][$part]),
                array_combine(array_keys($sums), array_keys($sums)),
            ),
        );
    }
    // On day 12 one metre of the eighteen is left and seven that came on day 5; the order of day 20 and two that will have to be made
    // take the new one.
    $told = array_map(
        static fn(array $row): array => [$row['part'], $row['what'], $row['document'], $row['of'], $row['item'], $row['quantity']],
        $rows(12),
    );
    expect($told)
        ->toContain(
            ['leftover', 'receipt', 'PO-2', '200-0040', '', '7'],
            ['leftover', 'stock', '', '200-0040', '', '1'],
            ['cancellation', 'receipt', 'PO-1', '200-0040', '', '100'],
            ['recurring', 'order', 'WO-1', '200-0040', '200-0010', '-2'],
            ['recurring', 'planned', '', '200-0040', '200-0010', '-8'],
            ['recurring', 'order', 'WO-1', '200-0041', '200-0010', '2'],
            ['recurring', 'planned', '', '200-0041', '200-0010', '8'],
        )
        ->and(collect($rows(12))->firstWhere('part', 'recurring')['title'])
        ->toBe('Pump head');
    $this->world
        ->as('vera', 'POST', '/cut-in/rows', $question + ['on' => World::day(800)])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['on']]);
    $this->world
        ->as('vera', 'POST', '/cut-in/rows', $question)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['on']]);
});

it('says which lever is wrong, and where', function (): void {
    ($this->planning)();
    ($this->ask)(['approval_days' => 'soon'])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['approval_days']]);
    $wrong = fn(array $swaps, array $more, array $places) => $this->world
        ->as('vera', 'POST', '/cut-in', ['swaps' => $swaps] + $more)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => $places]);
    $wrong(
        [['gone' => ['NONE'], 'come' => [['item' => '200-0041']]]],
        ['parts' => [['item' => '200-0040', 'keep' => 'some']]],
        ['swaps.0.gone.0', 'parts.0.keep'],
    );
    $wrong([], [], ['swaps']);
    $wrong([['gone' => [], 'come' => []]], [], ['swaps.0.gone']);
    // Metres and pieces: nobody but a person can say how much of one stands for the other.
    $wrong([['gone' => ['200-0040'], 'come' => [['item' => '200-0042']]]], [], ['swaps.0.come.0.ratio']);
    $wrong([['gone' => ['200-0040'], 'come' => [['item' => '200-0041', 'ratio' => '0']]]], [], ['swaps.0.come.0.ratio']);
    // Where nothing goes, somebody has to say where it comes, and how much of it.
    $wrong([['gone' => [], 'come' => [['item' => '600-0014', 'ratio' => '2']]]], [], ['swaps.0.parents']);
    $wrong([['gone' => [], 'come' => [['item' => '600-0014']], 'parents' => ['200-0010']]], [], ['swaps.0.come.0.ratio']);
    $wrong([...$this->swap, ['gone' => ['200-0040'], 'come' => []]], [], ['swaps.1.gone']);
    $wrong([['gone' => ['200-0040'], 'come' => [], 'parents' => ['NONE']]], [], ['swaps.0.parents']);
    expect(($this->ask)(['prescribed_on' => World::day(1), 'approval_days' => 5])->json('against_prescribed'))->toContain(
        'before the earliest',
    );
});

it('works with what planning said last, and says so', function (): void {
    ($this->planning)();
    $fresh = ($this->ask)()->assertOk()->json('days.30.total');
    Http::swap(new Illuminate\Http\Client\Factory());
    Http::fake(['*' => Http::response('down', 503)]);
    ($this->ask)(['anew' => true])
        ->assertOk()
        ->assertJsonPath('days.30.total', $fresh)
        ->assertJsonPath('fault', fn(string $told): bool => str_contains($told, '503'));
    // Another lever asks nobody, and still says so.
    ($this->ask)(['approval_days' => 3])
        ->assertOk()
        ->assertJsonPath('fault', fn(string $told): bool => str_contains($told, '503'));
});

it('asks planning once for all levers, until somebody wants to know what it says now', function (): void {
    ($this->planning)();
    $told = fn(array $more = [], array $pair = []): array => ($this->ask)($more, $pair)->assertOk()->json();
    $first = $told();
    $asked = count(Http::recorded());
    foreach ([['approval_days' => 30], ['per_straddling_order' => '1'], ['shortage_percent' => 5]] as $lever) {
        $told($lever);
    }
    expect($told(['approval_days' => 300])['best']['earliest'])
        ->toBe(World::day(300))
        ->and($told([], ['keep' => '3'])['fetched_at'])
        ->toBe($first['fetched_at'])
        ->and(count(Http::recorded()))
        ->toBe($asked);
    // The rows of a day are made of the same.
    $this->world->as('vera', 'POST', '/cut-in/rows', ['swaps' => $this->swap, 'on' => World::day(30)])->assertOk();
    expect(count(Http::recorded()))->toBe($asked);
    // Other parts are another question, and so is the same with the will to know.
    $this->travel(10)->seconds();
    expect($told(['anew' => true])['fetched_at'])
        ->not->toBe($first['fetched_at'])
        ->and(count(Http::recorded()))
        ->toBe(2 * $asked)
        ->and($told()['fetched_at'])
        ->not->toBe($first['fetched_at']);
    config(['orthotaxis.planning.keep_seconds' => 0]);
    $told();
    expect(count(Http::recorded()))->toBe(3 * $asked);
    ($this->ask)(['anew' => 'perhaps'])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['anew']]);
});

it('plans as many days as are asked for, whatever was kept', function (): void {
    ($this->planning)();
    $days = fn(array $more): int => count(($this->ask)($more)->assertOk()->json('days'));
    expect([$days([]), $days(['look_ahead' => 90]), $days(['look_ahead' => 500]), $days([])])->toBe([365, 90, 500, 365]);
    ($this->ask)(['look_ahead' => 20])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['look_ahead']]);
});

it('keeps the chosen day with its reasons, and carries it into the order', function (): void {
    ($this->planning)();
    $number = $this->world->as('jonas', 'POST', '/requests', $this->world->request())->json('number');
    $choose = fn(string $on, string $reason = 'Stock is used up by then.', string $by = 'mira') => $this->world->as(
        $by,
        'POST',
        "/requests/{$number}/cut-ins",
        ['swaps' => $this->swap, 'approval_days' => 5, 'chosen_on' => $on, 'reason' => $reason],
    );
    $choose(World::day(46), 'First thought.')->assertOk();
    $this->world->as('mira', 'POST', "/requests/{$number}/finding", ['finding' => 'Feasible.', 'version' => 1])->assertOk();
    $choose(World::day(50), by: 'jonas')->assertForbidden();
    $choose(World::day(50), '')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['reason']]);
    $choose(World::day(2))
        ->assertStatus(422)
        ->assertJsonPath('errors.chosen_on.0', 'The earliest possible day is ' . World::day(45) . '.');
    $choose(World::day(900))->assertStatus(422);
    $choose(World::day(50))
        ->assertOk()
        ->assertJsonPath('0.chosen_on', World::day(50))
        ->assertJsonPath('1.reason', 'First thought.')
        ->assertJsonPath('0.asked.approval_days', 5);
    $this->world
        ->as('mira', 'POST', "/requests/{$number}/decision", ['decision' => 'approved', 'reason' => 'Needed.', 'version' => 2])
        ->assertOk();
    $this->world
        ->as('mira', 'POST', "/requests/{$number}/order")
        ->assertOk()
        ->assertJsonPath('order.effective_on', World::day(50));
    expect(DB::table('ledger')->where('act', 'request.cut_in_chosen')->count())->toBe(2);
    // Once there is an order, its own date counts.
    $choose(World::day(60))
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['request']]);
});

it('says what planning does not know of all that is above, and what it told of without being asked', function (): void {
    $row = [
        'kind' => 'stock',
        'document' => 'LOT-1',
        'item' => '200-0040',
        'revision' => 'A',
        'quantity' => '5',
        'unit' => 'm',
        'unit_value' => '1',
        'due' => null,
        'place' => 'Weir',
        'status' => 'free',
    ];
    Http::fake(['*/supply' => Http::response(['rows' => [$row, ['item' => '9-9'] + $row], 'unknown' => ['200-0010', '200-0001']])]);
    ($this->ask)()
        ->assertOk()
        ->assertJsonPath('not_known', 2)
        ->assertJsonPath('not_known_items', ['200-0010', '200-0001'])
        ->assertJsonPath('strangers', ['9-9'])
        ->assertJsonPath('plants.0.parts.0.stock', '5');
});

it('works with the structures as they are, whatever was kept', function (): void {
    ($this->planning)();
    $wanted = fn(): float => array_sum(array_map(floatval(...), ($this->part)(($this->ask)()->assertOk(), '200-0040')['until']));
    $before = $wanted();
    DB::statement('ALTER TABLE structure_lines DISABLE TRIGGER USER');
    DB::table('structure_lines')
        ->where('component_id', $this->world->items['200-0040'])
        ->update(['quantity' => 1_000_000]);
    DB::statement('ALTER TABLE structure_lines ENABLE TRIGGER USER');
    // A release notes what it touches: twice as much tube in a head, and twice as much is wanted.
    DB::table('structure_touches')->insert(['item_id' => $this->world->items['200-0010']]);
    expect($wanted())->toBe(2 * $before);
});

it('expedites the new part for a fee, told in its own row', function (): void {
    ($this->planning)();
    DB::table('items')
        ->where('number', '200-0041')
        ->update(['lead_time_days' => 60]);
    // Two metres of the new one are here; from day 20 on ten are wanted before day 60 and the ten days till the release: eight are missing,
    // each at twice what one costs.
    $cost = (int) DB::table('items')->where('number', '200-0041')->value('standard_cost') / 10_000;
    expect((float) ($this->ask)()->json('days.20.shortage'))->toBe(8 * 2 * $cost);
    $new = ['item' => '200-0041', 'sooner_days' => 20, 'sooner_cost' => '12.50', 'sooner_percent' => 50];
    $hurried = ($this->ask)(['approval_days' => 0, 'parts' => [$new]])->assertOk();
    // What comes on day 40 is there for the last eight metres, of which two are in stock: the two of day 20.
    expect((float) $hurried->json('days.20.shortage'))
        ->toBe(round(12.5 + 8 * 0.5 * $cost, 4))
        ->and($hurried->json('days.20.possible'))
        ->toBeTrue()
        ->and($hurried->json('days.46'))
        ->toEqual(($this->ask)(['approval_days' => 0])->json('days.46'));
    $rows = fn(array $part): array => collect(
        $this->world
            ->as('vera', 'POST', '/cut-in/rows', [
                'swaps' => $this->swap,
                'approval_days' => 0,
                'parts' => [$part],
                'on' => World::day(20),
            ])
            ->assertOk()
            ->json(),
    )
        ->where('part', 'shortage')
        ->values()
        ->map(fn(array $row): array => [$row['what'], $row['of'], $row['on'], $row['quantity']])
        ->all();
    expect($rows($new))
        ->toBe([['hurried', '200-0041', World::day(44), '5'], ['hurried', '200-0041', World::day(42), '3'], ['fee', '200-0041', null, '']])
        // No more than five can be had so; what is wanted first gets them.
        ->and($rows(['sooner_most' => '5'] + $new))
        ->toContain(['missing', '200-0041', World::day(44), '3'], ['hurried', '200-0041', World::day(44), '2']);
    ($this->ask)(['parts' => [['item' => '200-0041', 'sooner_days' => 900, 'sooner_cost' => '-1']]])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['parts.0.sooner_days', 'parts.0.sooner_cost']]);
});

it('keeps with a chosen day what has to be done by when, as a calendar too, and the day of each plant', function (): void {
    ($this->planning)();
    $number = $this->world->as('jonas', 'POST', '/requests', $this->world->request())->json('number');
    $choose = fn(array $more) => $this->world->as(
        'mira',
        'POST',
        "/requests/{$number}/cut-ins",
        ['swaps' => $this->swap, 'approval_days' => 0, 'chosen_on' => World::day(42), 'reason' => 'Stock is used up.'] + $more,
    );
    $choose(['at_plants' => [['plant' => 'Moon', 'on' => World::day(42)]]])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['at_plants.0.plant']]);
    $choose(['at_plants' => [['plant' => 'Weir', 'on' => World::day(2)]]])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['at_plants.0.on']]);
    $choose(['at_plants' => [['plant' => 'Weir', 'on' => World::day(45)]]])->assertOk();
    $kept = $this->world->as('mira', 'GET', "/requests/{$number}/cut-ins")->assertOk();
    $toDo = $kept->json('0.to_do');
    expect(array_map(static fn(array $one): array => [$one['kind'], $one['by'], $one['item'], $one['document'], $one['quantity']], $toDo))
        // Three metres of day 42 and five of day 44, less two that are there, are ordered forty days before.
        ->toBe([
            ['release', World::day(2), '', '', ''],
            ['order', World::day(2), '200-0041', '', '6'],
            ['cut_in', World::day(42), '', '', ''],
            ['cancel', World::day(50), '200-0040', 'PO-1', '100'],
        ])
        ->and($kept->json('0.at_plants'))
        ->toEqual([['plant' => 'Weir', 'on' => World::day(45)]]);
    $calendar = $this->world->as('mira', 'GET', "/requests/{$number}/cut-ins/{$kept->json('0.id')}/calendar")->assertOk();
    $read = Sabre\VObject\Reader::read((string) $calendar->getContent());
    expect($calendar->headers->get('Content-Type'))
        ->toContain('text/calendar')
        ->and($read->validate())
        ->toBe([])
        ->and(count($read->select('VEVENT')))
        ->toBe(4)
        ->and((string) $read->select('VEVENT')[0]->DTSTART)
        ->toBe(str_replace('-', '', World::day(2)))
        ->and((string) $read->select('VEVENT')[1]->SUMMARY)
        ->toBe("{$number}: Order the new part (200-0041 6 m at Weir)");
    $other = $this->world->as('jonas', 'POST', '/requests', $this->world->request())->json('number');
    $this->world->as('mira', 'GET', "/requests/{$other}/cut-ins/{$kept->json('0.id')}/calendar")->assertNotFound();
});

it('keeps what is kept for service once, at whichever plants the part is', function (): void {
    $row = static fn(string $kind, string $document, string $item, string $quantity, ?int $day, string $place): array => [
        'kind' => $kind,
        'document' => $document,
        'item' => $item,
        'revision' => 'A',
        'quantity' => $quantity,
        'unit' => $item === '200-0040' ? 'm' : 'pc',
        'unit_value' => '10.00',
        'due' => $day === null ? null : World::day($day),
        'place' => $place,
        'status' => 'free',
    ];
    Http::fake([
        '*/supply' => Http::response([
            'rows' => [
                $row('sales_order', 'SO-1', '200-0010', '10', 60, 'Tarn'),
                $row('sales_order', 'SO-2', '200-0010', '10', 60, 'Weir'),
                $row('work_order', 'WO-1', '200-0010', '1', 90, 'Tarn'),
                $row('work_order', 'WO-2', '200-0010', '1', 90, 'Weir'),
                $row('stock', 'LOT-1', '200-0040', '20', null, 'Tarn'),
                $row('stock', 'LOT-2', '200-0040', '20', null, 'Weir'),
            ],
        ]),
    ]);
    // Twenty metres at each plant, of which five are used by day 60: thirty are left in all, less six that are kept.
    $left = fn(array $old): float => (float) ($this->ask)(['approval_days' => 0], $old)
        ->assertOk()
        ->json('days.70.leftover');
    expect(array_column(($this->ask)()->json('plants'), 'plant'))
        ->toBe(['Tarn', 'Weir'])
        ->and($left([]) - $left(['keep' => '6']))
        ->toEqualWithDelta(6 * 9.8, 0.001);
});

it('says on the desk of the coordinator when a chosen day is not good any more', function (): void {
    ($this->planning)();
    $number = $this->world->as('jonas', 'POST', '/requests', $this->world->request())->json('number');
    $this->world
        ->as('mira', 'POST', "/requests/{$number}/cut-ins", [
            'swaps' => $this->swap,
            'approval_days' => 0,
            'chosen_on' => World::day(45),
            'reason' => 'Stock is used up.',
        ])
        ->assertOk();
    $this->world->as('mira', 'POST', "/requests/{$number}/finding", ['finding' => 'Feasible.', 'version' => 1])->assertOk();
    $this->world
        ->as('mira', 'POST', "/requests/{$number}/decision", ['decision' => 'approved', 'reason' => 'Needed.', 'version' => 2])
        ->assertOk();
    $order = $this->world
        ->as('mira', 'POST', "/requests/{$number}/order")
        ->assertOk()
        ->json('number');
    $check = function (): string {
        expect(Artisan::call('cut-ins:check'))->toBe(0);

        return (string) DB::table('cut_in_checks')->value('fault');
    };
    $desk = fn(string $who): array => array_values(
        array_filter(
            $this->world->as($who, 'GET', '/desk')->json('tasks'),
            static fn(array $task): bool => str_starts_with($task['todo'], 'Cut-in day'),
        ),
    );
    expect($check())->toBe('')->and($desk('mira'))->toBe([]);
    // A hundred metres more of the old tube: on day 45 they would be lost.
    Http::swap(new Illuminate\Http\Client\Factory());
    $more = [
        'kind' => 'stock',
        'document' => 'LOT-7',
        'item' => '200-0040',
        'revision' => 'A',
        'quantity' => '20',
        'unit' => 'm',
        'unit_value' => '10.00',
        'due' => null,
        'place' => 'Weir',
        'status' => 'free',
    ];
    $sold =
        [
            'kind' => 'sales_order',
            'document' => 'SO-9',
            'item' => '200-0001',
            'quantity' => '100',
            'unit' => 'pc',
            'due' => World::day(90),
        ] + $more;
    Http::fake(['*/supply' => Http::response(['rows' => [$more, $sold]])]);
    expect($check())
        ->toContain('more than the best day')
        ->and($desk('mira')[0]['change']['number'])
        ->toBe($order)
        ->and($desk('mira')[0]['todo'])
        ->toContain('no longer good: best is now')
        ->and($desk('jonas'))
        ->toBe([])
        ->and($this->world->as('mira', 'GET', "/requests/{$number}/cut-ins")->json('0.fault'))
        ->toContain('more than the best day');
    // What planning does not tell changes nothing.
    Http::swap(new Illuminate\Http\Client\Factory());
    Http::fake(['*' => Http::response('down', 503)]);
    expect($check())->toContain('more than the best day');
});

it('says how likely a shortage is, how large a leftover, and what the best day hangs on', function (): void {
    ($this->planning)();
    $question = ['swaps' => $this->swap, 'approval_days' => 0];
    $chances = fn(int $demand, int $lead) => $this->world->as(
        'vera',
        'POST',
        '/cut-in/chances',
        $question + ['spread_demand' => $demand, 'spread_lead' => $lead],
    );
    $sure = $chances(0, 0)->assertOk();
    $days = array_column(($this->ask)(['approval_days' => 0])->json('days'), null, 'on');
    foreach ($sure->json() as $row) {
        expect($row['left_median'])
            ->toBe($days[$row['on']]['leftover'])
            ->and($row['left_most'])
            ->toBe($days[$row['on']]['leftover'])
            ->and($days[$row['on']]['possible'])
            ->toBeTrue();
    }
    $unsure = $chances(30, 20)->assertOk();
    expect(count($sure->json()))
        ->toBeGreaterThan(40)
        ->and(count($unsure->json()))
        ->toBe(count($sure->json()))
        ->and($unsure->json())
        ->toBe($chances(30, 20)->json())
        ->and($unsure->json())
        ->not->toBe($sure->json());
    $chances(95, 0)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['spread_demand']]);
    $hinges = $this->world->as('vera', 'POST', '/cut-in/hinges', $question)->assertOk()->json();
    expect(array_column($hinges, 'guess'))->toContain('demand');
    $this->world->as('vera', 'POST', '/cut-in/hinges', ['swaps' => []])->assertStatus(422);
});
