<?php

declare(strict_types=1);

use App\Planning\ExposureReader;
use App\Planning\Freshness;
use App\Planning\Jobs\AskPlanning;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Illuminate\Support\Facades\Queue;
use Orthotaxis\Core\Impact\Supply;
use Tests\Feature\Support\World;

beforeEach(fn() => ($this->world = new World($this)));

$row = [
    'kind' => 'stock',
    'document' => 'LOT-1',
    'item' => '200-0040',
    'revision' => 'A',
    'quantity' => '12.5',
    'unit' => 'm',
    'unit_value' => '9.80',
    'due' => null,
    'place' => 'Weir',
    'status' => 'free',
];

it('asks planning once for all items, with its token', function () use ($row): void {
    config(['orthotaxis.planning.token' => 'of this house']);
    Http::fake(['*/supply' => Http::response(['rows' => [$row, ['kind' => 'sales_order', 'due' => World::day(5)] + $row]])]);
    $this->world
        ->as('vera', 'GET', '/exposure?items=200-0040,200-0010')
        ->assertOk()
        ->assertJsonPath('items.1.item', '200-0040')
        ->assertJsonPath('items.1.value', '245.00')
        ->assertJsonPath('items.1.totals.0.quantity', '12.5')
        ->assertJsonPath('items.1.rows.1.due', World::day(5))
        ->assertJsonPath('items.0.rows', [])
        ->assertJsonPath('items.0.fault', null);
    Http::assertSentCount(1);
    Http::assertSent(fn($request): bool => $request->hasHeader('Authorization', 'Bearer of this house'));
});

it('shows what planning last said, and its age, when planning is silent or talks nonsense', function (callable $answer, string $fault) use (
    $row,
): void {
    Http::fake(['*/supply' => Http::response(['rows' => [$row]])]);
    $this->world->as('vera', 'GET', '/exposure?items=200-0040')->assertJsonPath('items.0.fault', null);
    Http::swap(new Illuminate\Http\Client\Factory());
    Http::fake(['*' => $answer]);
    $told = $this->world->as('vera', 'GET', '/exposure?items=200-0040,200-0042')->assertOk();
    expect($told->json('items.0.fault'))
        ->toContain($fault)
        ->and($told->json('items.0.fetched_at'))
        ->not->toBeNull()
        ->and($told->json('items.0.value'))
        ->toBe('122.50')
        ->and($told->json('items.1.fetched_at'))
        ->toBeNull();
})->with([
    'down' => [fn() => Http::response('', 500), 'error (500)'],
    'slow' => [fn() => throw new Illuminate\Http\Client\ConnectionException('timed out'), 'does not answer'],
    'nonsense' => [fn() => Http::response('hello'), 'not JSON'],
    'rows that make no sense' => [fn() => Http::response(['rows' => [['kind' => 'gift']]]), 'makes no sense'],
    'a unit that does not fit' => [
        fn() => Http::response([
            'rows' => [
                [
                    'unit' => 'kg',
                    'kind' => 'stock',
                    'document' => 'x',
                    'item' => '200-0040',
                    'revision' => 'A',
                    'quantity' => '1',
                    'unit_value' => '1',
                    'place' => '',
                    'status' => '',
                ],
            ],
        ]),
        'cannot be converted',
    ],
]);

it(
    'asks about many items some at a time, fewer where there is much to tell, and gives all of it as last told when planning falls silent midway',
    function () use ($row): void {
        $items = array_combine(range(1, 700), array_map(static fn(int $i): string => "X-{$i}", range(1, 700)));
        DB::table('items')->insert(
            array_map(
                fn(int $id, string $number): array => [
                    'id' => 100_000 + $id,
                    'number' => $number,
                    'title' => $number,
                    'kind' => 'part',
                    'category_id' => DB::table('categories')->value('id'),
                    'unit' => 'm',
                    'supply' => 'buy',
                    'sold' => false,
                ],
                array_keys($items),
                $items,
            ),
        );
        $numbers = array_combine(array_map(static fn(int $id): int => 100_000 + $id, array_keys($items)), $items);
        $rows = static fn(array $items): array => array_map(static fn(string $item): array => ['item' => $item] + $row, $items);
        Http::fake(['*/supply' => static fn($request) => Http::response(['rows' => $rows($request->data()['items'])])]);
        $taken = [];
        $each = function () use (&$taken, $numbers): Freshness {
            return app(ExposureReader::class)->each(
                $numbers,
                function (array $some) use (&$taken): void {
                    array_push($taken, ...array_map(static fn(Supply $one): string => $one->item, $some));
                },
                function () use (&$taken): void {
                    $taken = [];
                },
            );
        };
        expect($each()->fault)
            ->toBeNull()
            ->and($taken)
            ->toBe(array_values($items))
            ->and(Http::recorded()->map(fn(array $pair): int => count($pair[0]->data()['items']))->all())
            ->toBe([100, 200, 400]);
        // It answers twice, and is down then.
        $calls = 0;
        Http::swap(new Illuminate\Http\Client\Factory());
        Http::fake([
            '*/supply' => static function ($request) use ($rows, &$calls) {
                return ++$calls > 2
                    ? Http::response('', 503)
                    : Http::response(['rows' => array_slice($rows($request->data()['items']), 0, 1)]);
            },
        ]);
        $taken = [];
        $this->travel(5)->minutes();
        $told = $each();
        expect($told->fault)
            ->toContain('503')
            ->and($told->at?->diffInMinutes(now()))
            ->toBeGreaterThan(4.9)
            // Of the first three hundred it told anew, of one in each question; of the others what it told before.
            ->and(count($taken))
            ->toBe(402)
            ->and(array_slice($taken, 0, 3))
            ->toBe(['X-1', 'X-101', 'X-301']);
    },
);

it(
    'says which of our items planning does not know, and which of its items nobody asked about, then and when it is silent',
    function () use ($row): void {
        Http::fake([
            '*/supply' => Http::response(['rows' => [$row, ['item' => '200-0040X'] + $row], 'unknown' => ['200-0042', 'nobody asked']]),
        ]);
        $ask = fn() => $this->world
            ->as('vera', 'GET', '/exposure?items=200-0040,200-0042')
            ->assertOk()
            ->assertJsonPath('items.0.known', true)
            ->assertJsonPath('items.0.value', '122.50')
            ->assertJsonPath('items.1.known', false)
            ->assertJsonPath('items.1.rows', []);
        $ask()->assertJsonPath('strangers', ['200-0040X']);
        Http::swap(new Illuminate\Http\Client\Factory());
        Http::fake(['*' => Http::response('', 500)]);
        $ask()->assertJsonPath('strangers', []);
        // Introduced meanwhile, it is known again.
        Http::swap(new Illuminate\Http\Client\Factory());
        Http::fake(['*/supply' => Http::response(['rows' => [$row]])]);
        $this->world->as('vera', 'GET', '/exposure?items=200-0042')->assertJsonPath('items.0.known', true);
    },
);

it('wants to know of which items', function (): void {
    $this->world->as('vera', 'GET', '/exposure')->assertStatus(422)->assertJsonValidationErrors('items');
});

it('waits for a planning system that does not answer twice, then goes on at once, and tries it again after a rest', function (): void {
    config(['orthotaxis.planning.rest_seconds' => 20]);
    Queue::fake();
    $down = true;
    $asked = 0;
    Http::fake(function () use (&$down, &$asked) {
        $asked++;

        return $down ? throw new ConnectionException('timed out') : Http::response(['rows' => []]);
    });
    $ask = fn(string $item): ?string => $this->world
        ->as('vera', 'GET', "/exposure?items={$item}")
        ->assertOk()
        ->json('items.0.fault');
    foreach (['200-0010', '200-0040', '200-0041', '200-0042', '600-0014'] as $item) {
        expect($ask($item))->toContain('Planning does not answer.');
    }
    // The third was the probe; nobody waited after it.
    expect($asked)->toBe(3);
    $down = false;
    expect($ask('710-0001'))->toContain('Planning does not answer.')->and($asked)->toBe(3);
    $this->travel(21)->seconds();
    expect($ask('710-0001'))->toBeNull()->and($ask('200-0010'))->toBeNull()->and($asked)->toBe(5);
});

it('lets so many people wait for planning and no more: the others go on at once with what was last known', function () use ($row): void {
    config(['orthotaxis.planning.at_once' => 1]);
    Queue::fake();
    $second = null;
    Http::fake([
        '*/supply' => function () use ($row, &$second) {
            // Meanwhile somebody else asks.
            $second ??= $this->world->as('mira', 'GET', '/exposure?items=200-0040')->assertOk();

            return Http::response(['rows' => [$row]]);
        },
    ]);
    $this->world->as('vera', 'GET', '/exposure?items=200-0040')->assertOk()->assertJsonPath('items.0.fault', null);
    expect($second->json('items.0.fault'))->toBe('Planning is slow at the moment.');
    // The place is free again.
    $this->world->as('mira', 'GET', '/exposure?items=200-0040')->assertJsonPath('items.0.fault', null);
});

it('asks again in the background what planning did not answer in time, once for all who want to know', function () use ($row): void {
    Queue::fake();
    Http::fake(fn() => throw new ConnectionException('timed out'));
    foreach (['vera', 'mira', 'vera'] as $login) {
        $this->world
            ->as($login, 'GET', '/exposure?items=200-0040')
            ->assertJsonPath('items.0.value', '0.00')
            ->assertJsonPath('items.0.at', null);
    }
    Queue::assertPushed(AskPlanning::class, 1);
    Queue::assertPushedOn('long', AskPlanning::class);
    Http::swap(new Illuminate\Http\Client\Factory());
    Http::fake(['*/supply' => Http::response(['rows' => [$row]])]);
    // A worker answers no request.
    app()->instance('request', Illuminate\Http\Request::create('http://localhost'));
    Queue::pushed(AskPlanning::class)->each(fn(AskPlanning $job) => $job->handle(app(ExposureReader::class)));
    Http::swap(new Illuminate\Http\Client\Factory());
    Http::fake(fn() => throw new ConnectionException('timed out'));
    $this->world->as('vera', 'GET', '/exposure?items=200-0040')->assertJsonPath('items.0.value', '122.50');
});
