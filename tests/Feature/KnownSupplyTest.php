<?php

declare(strict_types=1);

use App\CutIn\KnownSupply;
use App\CutIn\Places;
use App\CutIn\PlannedItem;
use App\Days\Today;
use App\Planning\ExposureReader;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Orthotaxis\Core\CutIn\NodeSupply;
use Orthotaxis\Core\Impact\Supply;
use Orthotaxis\Core\Quantity\Quantity;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->rows = [];
    $this->tell = function (
        string $item,
        string $kind,
        string $quantity,
        ?int $day = null,
        string $status = 'confirmed',
        string $unit = 'm',
        string $document = '',
    ): void {
        $document = $document === '' ? strtoupper($kind) . '-' . count($this->rows) : $document;
        $this->rows[] = [
            'kind' => $kind,
            'document' => $document,
            'item' => $item,
            'revision' => 'A',
            'quantity' => $quantity,
            'unit' => $unit,
            'unit_value' => '1',
            'due' => $day === null ? null : World::day($day),
            'place' => 'Weir',
            'status' => $status,
        ];
    };
    Http::fake([
        '*/supply' => fn($request) => Http::response([
            'rows' => array_values(
                array_filter($this->rows, static fn(array $row): bool => in_array($row['item'], $request['items'], true)),
            ),
        ]),
    ]);
    $this->ask = function (array $whole = [], array $made = []): KnownSupply {
        $ids = $this->world->items;

        return KnownSupply::ask(
            app(ExposureReader::class),
            PlannedItem::among(array_values($ids)),
            Today::day(),
            Places::one(),
            array_map(fn(string $number): int => $ids[$number], $whole),
            array_map(fn(string $number): int => $ids[$number], $made),
        );
    };
    $this->tube = fn(KnownSupply $supply): ?NodeSupply => $supply->supply($this->world->items['200-0040']);
});

it('adds up what is free on the shelf, in the unit of the item, without what is kept for service', function (): void {
    ($this->tell)('200-0040', 'stock', '12.5', status: 'free');
    ($this->tell)('200-0040', 'stock', '500', status: 'free', unit: 'mm');
    ($this->tell)('200-0040', 'stock', '99', status: 'service stock');
    $tube = ($this->tube)(($this->ask)());
    expect($tube?->onHand)
        ->toBe(13 * Quantity::ONE)
        ->and($tube?->wanted)
        ->toBe([])
        ->and($tube?->orders)
        ->toBe([]);
});

it('takes from the forecast of a week what is sold in it already, once', function (): void {
    ($this->tell)('200-0040', 'forecast', '20', 8);
    ($this->tell)('200-0040', 'forecast', '10', 10);
    ($this->tell)('200-0040', 'sales_order', '25', 9);
    ($this->tell)('200-0040', 'forecast', '7', 30);
    ($this->tell)('200-0040', 'quote', '500', 9);
    $tube = ($this->tube)(($this->ask)());
    // Twenty-five of the thirty are sold: five of the second forecast are left, and all of another week.
    expect(
        array_map(
            static fn(int $day, int $quantity): array => [$day, intdiv($quantity, Quantity::ONE)],
            $tube->wantedOn ?? [],
            $tube->wanted ?? [],
        ),
    )->toBe([[9, 25], [10, 5], [30, 7]]);
});

it('counts what is late as wanted now', function (): void {
    ($this->tell)('200-0040', 'sales_order', '4', -3);
    ($this->tell)('200-0040', 'forecast', '6', 2);
    $tube = ($this->tube)(($this->ask)());
    // It was sold, so it is no more of this week's forecast.
    expect($tube?->wantedOn)
        ->toBe([-3, 2])
        ->and($tube?->wanted)
        ->toBe([4 * Quantity::ONE, 2 * Quantity::ONE]);
});

it('tells orders that take parts from those that have them, and from what is bought', function (): void {
    DB::table('items')
        ->where('number', '200-0010')
        ->update(['lead_time_days' => 5]);
    ($this->tell)('200-0010', 'work_order', '4', 20, 'planned', 'pc', 'WO-1');
    ($this->tell)('200-0010', 'work_order', '3', 10, 'started', 'pc', 'WO-2');
    ($this->tell)('200-0010', 'purchase_order', '2', 12, 'confirmed', 'pc', 'PO-1');
    $head = ($this->ask)()->supply($this->world->items['200-0010']);
    // First day, day it is done, quantity, document, whether its parts are issued.
    expect($head?->orders)
        ->toBe([
            [15, 20, 4 * Quantity::ONE, 'WO-1', 0],
            [5, 10, 3 * Quantity::ONE, 'WO-2', 3 * Quantity::ONE],
            [7, 12, 2 * Quantity::ONE, 'PO-1', 2 * Quantity::ONE],
        ])
        ->and($head?->leadDays)
        ->toBe(5);
});

it('keeps single rows of the parts alone, and work orders of what they go into', function (): void {
    ($this->tell)('200-0040', 'purchase_order', '40', 20, document: 'PO-9');
    ($this->tell)('200-0010', 'work_order', '4', 20, 'planned', 'pc', 'WO-9');
    ($this->tell)('200-0010', 'stock', '4', null, 'free', 'pc');
    ($this->tell)('200-0001', 'sales_order', '4', 20, 'confirmed', 'pc');
    $supply = ($this->ask)(['200-0040', '200-0041'], ['200-0010']);
    $documents = static fn(string $number): array => array_map(static fn(Supply $row): string => $row->document, $supply->rows($number));
    expect($documents('200-0040'))
        ->toBe(['PO-9'])
        ->and($documents('200-0010'))
        ->toBe(['WO-9'])
        ->and($documents('200-0001'))
        ->toBe([])
        ->and($documents('200-0041'))
        ->toBe([])
        ->and($supply->supply($this->world->items['200-0001'])?->wanted)
        ->toBe([4 * Quantity::ONE])
        // Of what planning says nothing there is nothing.
        ->and($supply->supply($this->world->items['200-0042']))
        ->toBeNull();
    // What is kept for the levers is small, and what it says is the same.
    $kept = unserialize(serialize($supply->ofParts()));
    expect($kept->supply($this->world->items['200-0001']))
        ->toBeNull()
        ->and($kept->rows('200-0040'))
        ->toEqual($supply->rows('200-0040'))
        ->and($kept->told->at?->equalTo($supply->told->at))
        ->toBeTrue();
});

it('has nothing of a row that cannot be converted, and works with what was told before', function (): void {
    ($this->tell)('200-0040', 'stock', '12', status: 'free');
    ($this->ask)();
    ($this->tell)('200-0040', 'stock', '3', status: 'free', unit: 'kg');
    $supply = ($this->ask)();
    expect($supply->told->fault)
        ->toContain('cannot be converted')
        ->and(($this->tube)($supply)?->onHand)
        ->toBe(12 * Quantity::ONE);
});

it('forgets what has expired, and nothing else', function (): void {
    DB::table('cache')->insert([
        ['key' => 'old', 'value' => 'x', 'expiration' => now()->subMinute()->getTimestamp()],
        ['key' => 'new', 'value' => 'x', 'expiration' => now()->addMinute()->getTimestamp()],
    ]);
    $this->artisan('cache:forget-expired')->expectsOutput('1 entries forgotten.')->assertSuccessful();
    expect(DB::table('cache')->pluck('key')->all())->toBe(['new']);
});

it('keeps the demand of a year for a few minutes, but never what could not be told', function (): void {
    ($this->tell)('200-0001', 'sales_order', '40', 10, unit: 'pc');
    ($this->tell)('200-0001', 'sales_order', '9', 400, unit: 'pc');
    $request = $this->world->as('jonas', 'POST', '/requests', $this->world->request(['items' => ['200-0040']]))->json('number');
    $money = fn(string $anew = ''): Illuminate\Testing\TestResponse => $this->world
        ->as('vera', 'GET', "/requests/{$request}/money{$anew}")
        ->assertOk();
    $units = fn(string $anew = ''): string => $money($anew)->json('demand.0.units');
    expect($units())->toBe('40');
    ($this->tell)('200-0001', 'sales_order', '3', 20, unit: 'pc');
    $this->travel(2)->minutes();
    $before = $money()->json('demand_told_at');
    expect($units())
        ->toBe('40')
        ->and($units('?anew=1'))
        ->toBe('43')
        ->and($units())
        ->toBe('43')
        ->and($money()->json('demand_told_at'))
        ->toBeGreaterThan($before);
    ($this->tell)('200-0001', 'sales_order', '2', 20, unit: 'pc');
    expect($units())->toBe('43');
    $this->travel(6)->minutes();
    expect($units())->toBe('45');
    // Told by nobody: asked again the next time.
    $this->travel(6)->minutes();
    Http::swap(new Illuminate\Http\Client\Factory());
    Http::fake(['*' => Http::response('', 503)]);
    expect($units())->toBe('45');
    Http::swap(new Illuminate\Http\Client\Factory());
    Http::fake(['*/supply' => Http::response(['rows' => [$this->rows[0]]])]);
    expect($units())->toBe('40');
});
