<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    DB::table('items')->update(['lead_time_days' => 0]);
    DB::table('items')->where('number', '200-0041')->update(['lead_time_days' => 40]);
    $this->told = static fn (): array => [
        // Each module takes one head, each head half a metre of tube.
        ['sales_order', 'SO-1', '200-0001', '40', 'pc', World::day(10), 'confirmed'], ['forecast', 'FC-6', '200-0001', '20', 'pc', World::day(42), 'forecast'],
        // Ten of the forecast of that week are sold already.
        ['sales_order', 'SO-2', '200-0001', '10', 'pc', World::day(44), 'confirmed'],
        ['stock', 'LOT-1', '200-0010', '6', 'pc', null, 'free'], ['work_order', 'WO-1', '200-0010', '4', 'pc', World::day(20), 'planned'],
        ['stock', 'LOT-2', '200-0040', '18', 'm', null, 'free'], ['stock', 'LOT-3', '200-0040', '99', 'm', null, 'service stock'],
        ['purchase_order', 'PO-1', '200-0040', '100', 'm', World::day(60), 'ordered'], ['purchase_order', 'PO-2', '200-0040', '7', 'm', World::day(5), 'confirmed'],
        ['stock', 'LOT-9', '200-0041', '2', 'm', null, 'free'],
    ];
    $rows = ($this->told)();
    $this->planning = static fn () => Http::fake(['*/supply' => static fn ($request) => Http::response(['rows' => array_values(array_filter(array_map(
        static fn (array $r): array => ['kind' => $r[0], 'document' => $r[1], 'item' => $r[2], 'revision' => 'A', 'quantity' => $r[3], 'unit' => $r[4], 'unit_value' => '10.00', 'due' => $r[5], 'place' => 'Weir', 'status' => $r[6]],
        $rows,
    ), static fn (array $row): bool => in_array($row['item'], $request->data()['items'], true)))])]);
    $this->ask = fn (array $more = [], array $pair = []) => $this->world->as('vera', 'POST', '/cut-in', ['pairs' => [['old' => '200-0040', 'new' => '200-0041'] + $pair]] + $more);
});

it('nets what is sold down to the part, day by day, and finds when it runs out', function (): void {
    ($this->planning)();
    $page = ($this->ask)(['approval_days' => 3])->assertOk();
    $demand = array_filter(array_map(floatval(...), $page->json('parts.0.demand')));
    // 40 modules need 40 heads on day 10, less 6 on the shelf: 17 m. The order of day 20 takes its tube then: 2 m, and gives 4 heads for
    // the 20 modules of day 42 and 44, so that 16 more are made: 8 m in all.
    expect($demand)->toBe([10 => 17.0, 20 => 2.0, 42 => 3.0, 44 => 5.0])
        ->and($page->json('parts.0.stock'))->toBe('18')
        ->and($page->json('run_out'))->toBe(World::day(44))
        ->and($page->json('earliest'))->toBe(World::day(3))
        ->and($page->json('fault'))->toBeNull();
});

it('adds up what each day costs, and tells its documents', function (): void {
    ($this->planning)();
    $page = ($this->ask)(['per_straddling_order' => '30'], ['disposition' => 'scrap'])->assertOk();
    foreach ($page->json('days') as $day) {
        $sum = array_sum(array_map(static fn (string $part): int => (int) round(10_000 * (float) $day[$part]), ['leftover', 'cancellation', 'shortage', 'straddling', 'recurring']));
        expect($sum)->toBe((int) round(10_000 * (float) $day['total']));
    }
    // On day 30 eight metres are left; the 100 of day 60 are cancelled for five percent of 1000.
    expect($page->json('days.30.cancellation'))->toBe('50.00')->and($page->json('days.30.leftover'))->toBe('58.80')
        ->and(collect($page->json('documents'))->firstWhere('document', 'PO-1')['cancel_fee'])->toBe('50.00')
        ->and(collect($page->json('documents'))->firstWhere('document', 'PO-2')['cancel_fee'])->toBeNull();
    $let = ($this->ask)(['not_cancelled' => ['PO-1']])->assertOk();
    expect($let->json('days.30.cancellation'))->toBe('0.00')->and((float) $let->json('days.30.leftover'))->toBeGreaterThan(1000);
    expect((float) ($this->ask)([], ['keep' => '6', 'disposition' => 'scrap'])->json('days.30.leftover'))->toBe(0.0);
});

it('says which lever is wrong, and where', function (): void {
    ($this->planning)();
    ($this->ask)(['approval_days' => 'soon'])->assertStatus(422)->assertJsonStructure(['errors' => ['approval_days']]);
    ($this->ask)([], ['new' => '200-0040'])->assertOk();
    $this->world->as('vera', 'POST', '/cut-in', ['pairs' => [['old' => '200-0040', 'new' => '200-0040']]])->assertStatus(422)->assertJsonStructure(['errors' => ['pairs.0.new']]);
    $this->world->as('vera', 'POST', '/cut-in', ['pairs' => [['old' => 'NONE', 'new' => '200-0041', 'keep' => 'some']]])->assertStatus(422)->assertJsonStructure(['errors' => ['pairs.0.old', 'pairs.0.keep']]);
    $this->world->as('vera', 'POST', '/cut-in', ['pairs' => []])->assertStatus(422);
    expect(($this->ask)(['prescribed_on' => World::day(1), 'approval_days' => 5])->json('against_prescribed'))->toContain('before the earliest');
});

it('works with what planning said last, and says so', function (): void {
    ($this->planning)();
    $fresh = ($this->ask)()->assertOk()->json('days.30.total');
    Http::swap(new Illuminate\Http\Client\Factory);
    Http::fake(['*' => Http::response('down', 503)]);
    ($this->ask)()->assertOk()->assertJsonPath('days.30.total', $fresh)->assertJsonPath('fault', fn (string $told): bool => str_contains($told, '503'));
});

it('keeps the chosen day with its reasons, and carries it into the order', function (): void {
    ($this->planning)();
    $number = $this->world->as('jonas', 'POST', '/requests', $this->world->request())->json('number');
    $choose = fn (string $on, string $reason = 'Stock is used up by then.', string $by = 'mira') => $this->world->as($by, 'POST', "/requests/{$number}/cut-ins", ['pairs' => [['old' => '200-0040', 'new' => '200-0041']], 'approval_days' => 5, 'chosen_on' => $on, 'reason' => $reason]);
    $choose(World::day(44))->assertStatus(422)->assertJsonStructure(['errors' => ['request']]);
    $this->world->as('mira', 'POST', "/requests/{$number}/finding", ['finding' => 'Feasible.', 'version' => 1])->assertOk();
    $choose(World::day(44), by: 'jonas')->assertForbidden();
    $choose(World::day(44), '')->assertStatus(422)->assertJsonStructure(['errors' => ['reason']]);
    $choose(World::day(2))->assertStatus(422)->assertJsonPath('errors.chosen_on.0', 'The earliest possible day is '.World::day(5).'.');
    $choose(World::day(900))->assertStatus(422);
    $choose(World::day(30), 'First thought.')->assertOk();
    $choose(World::day(44))->assertOk()->assertJsonPath('0.chosen_on', World::day(44))->assertJsonPath('1.reason', 'First thought.')->assertJsonPath('0.asked.approval_days', 5);
    $this->world->as('mira', 'POST', "/requests/{$number}/decision", ['decision' => 'approved', 'reason' => 'Needed.', 'version' => 2])->assertOk();
    $this->world->as('mira', 'POST', "/requests/{$number}/order")->assertOk()->assertJsonPath('order.effective_on', World::day(44));
    expect(DB::table('ledger')->where('act', 'request.cut_in_chosen')->count())->toBe(2);
});
