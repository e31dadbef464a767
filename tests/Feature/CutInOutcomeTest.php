<?php

declare(strict_types=1);

use Carbon\CarbonImmutable;
use Illuminate\Http\Client\Factory;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    DB::table('items')->update(['lead_time_days' => 0]);
    DB::table('items')
        ->where('number', '200-0041')
        ->update(['lead_time_days' => 10]);
    // What planning tells: old tube in metres, new tube, heads sold by day.
    $this->planning = static function (string $old, string $new, array $sold): void {
        Http::swap(new Factory());
        $row = static fn(string $kind, string $document, string $item, string $quantity, string $unit, ?string $due): array => [
            'kind' => $kind,
            'document' => $document,
            'item' => $item,
            'revision' => 'A',
            'quantity' => $quantity,
            'unit' => $unit,
            'unit_value' => '10.00',
            'due' => $due,
            'place' => 'Weir',
            'status' => $kind === 'stock' ? 'free' : 'confirmed',
        ];
        $rows = [$row('stock', 'LOT-1', '200-0040', $old, 'm', null), $row('stock', 'LOT-2', '200-0041', $new, 'm', null)];
        foreach ($sold as $day => $heads) {
            $rows[] = $row('sales_order', "SO-{$day}", '200-0010', (string) $heads, 'pc', World::day($day));
        }
        Http::fake([
            '*/supply' => static fn($request) => Http::response([
                'rows' => array_values(
                    array_filter($rows, static fn(array $row): bool => in_array($row['item'], $request->data()['items'], true)),
                ),
            ]),
            '*' => Http::response(['accepted' => [], 'rejected' => []]),
        ]);
    };
    $this->day = World::day(30);
    ($this->planning)('18', '0', [10 => 20, 29 => 12, 40 => 20]);
    $this->order = $this->world->opened(
        fn(string $number) => $this->world
            ->only('mira', 'POST', "/requests/{$number}/cut-ins", [
                'swaps' => [['gone' => ['200-0040'], 'come' => [['item' => '200-0041']]]],
                'approval_days' => 0,
                'chosen_on' => $this->day,
                'reason' => 'Most of the stock is used.',
            ])
            ->assertOk(),
    );
    $this->request = DB::table('change_requests')->orderByDesc('id')->value('number');
    $this->world->edit($this->order, 'replace', 10, ['component' => '200-0041'])->assertOk();
    $this->look = fn(): string => Artisan::call('cut-ins:look-back') === 0 ? trim(Artisan::output()) : 'failed';
    $this->page = fn(string $query = ''): array => $this->world
        ->as('vera', 'GET', "/cut-in-outcomes{$query}")
        ->assertOk()
        ->json();
});

it('holds the plan against what planning tells once the day has come', function (): void {
    $this->world->released($this->order);
    // Half a metre for each head: sixteen of eighteen metres are used by the day.
    $planned = [
        'plant' => 'Weir',
        'unit' => 'm',
        'cut_in_on' => $this->day,
        'seen_on' => null,
        'left' => null,
        'short_planned' => '0',
        'short' => null,
        'cost' => null,
        'difference' => null,
    ];
    $parts = ($this->page)()['orders'][0]['parts'];
    expect($parts)
        ->toEqual([
            ['item' => '200-0040', 'left_planned' => '2', 'cost_planned' => '19.60'] + $planned,
            ['item' => '200-0041', 'left_planned' => '0', 'cost_planned' => '0.00'] + $planned,
        ])
        ->and(($this->page)()['ahead'])
        ->toBe(2)
        ->and(($this->look)())
        ->toBe('0 plants looked at.');

    $this->travelTo(CarbonImmutable::parse("{$this->day} 06:00"));
    // Five metres are there; of the new one eight lie there, ten are wanted tomorrow, and more takes ten days.
    ($this->planning)('5', '8', [1 => 20]);
    expect(($this->look)())->toBe('1 plants looked at.')->and(($this->look)())->toBe('0 plants looked at.');
    $page = ($this->page)();
    expect(array_map(static fn(array $part): array => [$part['left'], $part['short'], $part['seen_on']], $page['orders'][0]['parts']))
        ->toBe([['5', '0', $this->day], ['0', '2', $this->day]])
        ->and([$page['orders'][0]['order'], $page['orders'][0]['request'], $page['ahead']])
        ->toBe([$this->order, $this->request, 0])
        ->and($page['orders'][0]['parts'][0]['difference'])
        ->toBe('29.40')
        ->and($page['planned'])
        ->toBe('19.60')
        ->and($page['became'])
        // Five metres lost at 9.80, and two missing at twice the 12.60 that one costs.
        ->toBe('99.40')
        ->and(($this->page)('?year=' . ($page['year'] - 1))['orders'])
        ->toBe([])
        ->and($this->world->as('vera', 'GET', "/requests/{$this->request}/cut-ins")->json('0.outcomes.0.left'))
        ->toBe('5');
});

it('says nothing of an order that is not released, and waits while planning is silent', function (): void {
    $this->travelTo(CarbonImmutable::parse("{$this->day} 06:00"));
    expect(($this->look)())->toBe('0 plants looked at.')->and(($this->page)()['orders'])->toBe([]);
    $this->travelBack();
    $this->world->released($this->order);
    $this->travelTo(CarbonImmutable::parse("{$this->day} 06:00"));
    Http::swap(new Factory());
    Http::fake(['*' => Http::response('', 500)]);
    expect(($this->look)())->toBe('0 plants looked at.');
    $this->travel(3)->days();
    ($this->planning)('5', '8', []);
    expect(($this->look)())
        ->toBe('1 plants looked at.')
        ->and(DB::table('cut_in_outcomes')->value('seen_on'))
        ->toBe(CarbonImmutable::parse($this->day)->addDays(3)->toDateString());
});

it('refuses what is no year', function (): void {
    $this->world->as('vera', 'GET', '/cut-in-outcomes?year=soon')->assertStatus(422);
});
