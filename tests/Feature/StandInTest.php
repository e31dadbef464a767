<?php

declare(strict_types=1);

use App\Planning\ExposureReader;
use App\Structures\Models\Item;
use Database\Seeders\GeneratedPlanningSeeder;
use Illuminate\Support\Facades\Http;
use Orthotaxis\Core\Impact\SupplyKind;
use Tests\Feature\Support\StandIn;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    Http::allowStrayRequests(['http://127.0.0.1:*']);
    $this->planning = StandIn::start();
    config(['orthotaxis.planning.url' => $this->planning->address, 'orthotaxis.planning.token' => StandIn::TOKEN]);
    $this->row = static fn(string $item, array $more = []): array => [
        'kind' => 'stock',
        'document' => 'LOT-1',
        'item' => $item,
        'revision' => 'A',
        'quantity' => '12.5',
        'unit' => 'm',
        'unit_value' => '9.80',
        'due' => null,
        'place' => 'Weir',
        'status' => 'free',
        ...$more,
    ];
    $this->supply = fn(string ...$items): array => $this->planning
        ->shown()
        ->post('/supply', ['items' => $items])
        ->throw()
        ->json();
});

afterEach(function (): void {
    $this->planning->behave('normal');
    $this->planning->stop();
});

it('asks programs for the token, and shows people its page', function (): void {
    expect(Http::post("{$this->planning->address}/supply", ['items' => []])->status())
        ->toBe(401)
        ->and(
            Http::withToken('guessed')
                ->post("{$this->planning->address}/load", [])
                ->status(),
        )
        ->toBe(401)
        ->and($this->planning->shown()->get('/elsewhere')->status())
        ->toBe(404)
        ->and(Http::get($this->planning->address)->body())
        ->toContain('Planning stand-in');
});

it('answers what there is of an item, and which items are none of its own', function (): void {
    $this->planning->load(
        [StandIn::item('200-0040', unit: 'm'), StandIn::item('800-0001', kind: 'drawing')],
        [
            'rows' => [
                ($this->row)('200-0040'),
                ($this->row)('200-0040', ['kind' => 'purchase_order', 'document' => 'PO-7', 'quantity' => '200', 'due' => World::day(9)]),
            ],
        ],
    );
    $answer = ($this->supply)('200-0040', '800-0001', '999-0001');
    expect($answer['unknown'])
        ->toBe(['999-0001'])
        ->and(array_column($answer['rows'], 'document'))
        ->toBe(['PO-7', 'LOT-1'])
        ->and($answer['rows'][1])
        ->toBe([
            'kind' => 'stock',
            'document' => 'LOT-1',
            'item' => '200-0040',
            'revision' => 'A',
            'quantity' => '12.5',
            'unit' => 'm',
            'unit_value' => '9.8000',
            'due' => null,
            'place' => 'Weir',
            'status' => 'free',
            'serial' => '',
            'start' => null,
            'issued' => null,
        ])
        ->and($answer['rows'][0]['due'])
        ->toBe(World::day(9));
});

it('makes up every kind of supply for what is sold, the same each time', function (): void {
    $this->planning->load([StandIn::item('100-0012', 'make', sold: true, kind: 'assembly'), StandIn::item('850-0001', kind: 'document')]);
    $first = ($this->supply)('100-0012', '850-0001');
    expect(array_count_values(array_column($first['rows'], 'kind')))
        ->toMatchArray(['forecast' => 52, 'sales_order' => 3, 'quote' => 1])
        ->and(array_unique(array_column($first['rows'], 'item')))
        ->toBe(['100-0012'])
        ->and(array_filter($first['rows'], static fn(array $row): bool => $row['serial'] !== '' && $row['quantity'] !== '1'))
        ->toBe([]);
    $this->planning->load([StandIn::item('100-0012', 'make', sold: true, kind: 'assembly')]);
    expect(($this->supply)('100-0012')['rows'])->toBe($first['rows']);
});

it('is filled bit by bit, and with no more rows than wanted', function (): void {
    $products = array_map(static fn(int $i): array => StandIn::item("100-00{$i}", 'make', sold: true), range(10, 19));
    expect($this->planning->load(array_slice($products, 0, 5), ['most' => 80])->json())->toBe(['items' => 5, 'rows' => 80]);
    $rows = $this->planning->load(array_slice($products, 5), ['more' => true])->json('rows');
    $answer = ($this->supply)(...array_column($products, 'number'));
    expect(count($answer['rows']))
        ->toBe(80 + $rows)
        ->and($answer['unknown'])
        ->toBe([]);
    $this->planning->load($products, ['most' => 1]);
    expect(count(($this->supply)(...array_column($products, 'number'))['rows']))->toBe(1);
});

it('is filled for a generated data set from the items there are', function (): void {
    Item::query()->update(['sold' => false, 'supply' => 'buy']);
    expect((new GeneratedPlanningSeeder())->run(3))->toBe(3);
    $answer = ($this->supply)(...array_keys($this->world->items));
    expect($answer['rows'])->toHaveCount(3)->and($answer['unknown'])->toBe([]);
    // As many as there are, when more are wanted.
    expect((new GeneratedPlanningSeeder())->run())->toBe(count(($this->supply)(...array_keys($this->world->items))['rows']));
});

it('takes a hand-over once, however often it comes, and says entry by entry what it cannot take', function (): void {
    $this->planning->load([StandIn::item('200-0010', 'make'), StandIn::item('200-0041')]);
    $entry = static fn(
        int $number,
        string $component,
    ): string => "<entry number=\"{$number}\" action=\"add\" item=\"200-0010\" revision=\"B\" find=\"{$number}0\" component=\"{$component}\" quantity=\"0.5\" unit=\"m\"/>";
    $xml = static fn(
        string $entries,
        string $title = 'Thicker tube',
    ): string => "<handOver xmlns=\"urn:orthotaxis:hand-over:1\" order=\"ECO-00001\" number=\"17\" written=\"2026-11-23T09:00:00Z\" effectiveFrom=\"2027-02-01\"><title>{$title}</title>{$entries}</handOver>";
    $send = fn(string $name, string $body): Illuminate\Http\Client\Response => $this->planning
        ->shown()
        ->withHeaders(['Idempotency-Key' => $name])
        ->withBody($body, 'application/xml')
        ->post('/hand-overs');
    $both = $xml($entry(1, '200-0041') . $entry(2, '200-0052'));

    expect($send('ECO-00001_17', $both)->json('entries'))->toBe([
        ['entry' => 1, 'answer' => 'taken', 'reason' => ''],
        ['entry' => 2, 'answer' => 'refused', 'reason' => 'Item 200-0052 is not known to planning.'],
    ]);
    $send('ECO-00001_17', $both);
    expect($this->planning->handOvers()[0])->toBe([
        'name' => 'ECO-00001_17',
        'received' => '2',
        'taken' => '1',
        'refused' => '1',
        'applied' => '1',
    ]);
    expect(
        $this->planning
            ->shown()
            ->post('/items/unknown', ['items' => ['200-0041', '200-0052']])
            ->json(),
    )->toBe([
        'unknown' => ['200-0052'],
    ]);
    // Somebody there creates what is missing; sent again, only what was refused is applied.
    Http::asForm()
        ->withoutRedirecting()
        ->post("{$this->planning->address}/behaviour", ['create' => '1']);
    expect($send('ECO-00001_17', $both)->json('entries.1.answer'))
        ->toBe('taken')
        ->and($this->planning->handOvers()[0])
        ->toMatchArray(['received' => '3', 'taken' => '2', 'refused' => '0', 'applied' => '1']);

    $other = $send('ECO-00001_17', $xml($entry(1, '200-0041'), 'Another content'));
    expect($other->status())->toBe(400)->and($other->json('error'))->toContain('received before with another content');
    $wrong = $send('ECO-00001_18', '<handOver/>');
    expect($wrong->status())
        ->toBe(400)
        ->and($wrong->json('error'))
        ->toContain('no hand-over as agreed')
        ->and($send('', $both)->status())
        ->toBe(400)
        ->and($this->planning->handOvers())
        ->toHaveCount(1);
});

it('is asked by the product, which says so when it is down, talks nonsense or is not there at all', function (): void {
    $this->planning->load([StandIn::item('200-0040', unit: 'm')], ['rows' => [($this->row)('200-0040')]]);
    $tube = Item::query()->where('number', '200-0040')->get();
    $ask = static fn(): array => app(ExposureReader::class)->rows($tube);
    [$supply, $told] = $ask();
    expect($supply)
        ->toHaveCount(1)
        ->and($supply[0]->kind)
        ->toBe(SupplyKind::Stock)
        ->and((string) $supply[0]->quantity)
        ->toBe('12.5')
        ->and($told->fault)
        ->toBeNull();
    foreach (['down', 'nonsense'] as $mode) {
        $this->planning->behave($mode);
        [$remembered, $now] = $ask();
        expect($remembered)
            ->toEqual($supply)
            ->and($now->fault)
            ->not->toBeNull()
            ->and($now->at?->getTimestamp())
            ->toBe($told->at?->getTimestamp());
    }
    $this->planning->behave('normal');
    expect($ask()[1]->fault)->toBeNull();
    config(['orthotaxis.planning.url' => 'http://127.0.0.1:9']);
    expect($ask()[0])->toEqual($supply)->and($ask()[1]->fault)->not->toBeNull();
});

it('shows a document with its lines, and nothing of what is written in them as a page of its own', function (): void {
    $this->planning->load(
        [StandIn::item('200-0040', unit: 'm')],
        ['rows' => [($this->row)('200-0040', ['document' => 'PO/7 <b>', 'place' => '<script>alert(1)</script>'])]],
    );
    $page = Http::get("{$this->planning->address}/documents/" . rawurlencode('PO/7 <b>'))->body();
    expect($page)
        ->toContain('12.5 m')
        ->toContain('&lt;script&gt;')
        ->not->toContain('<script>')
        ->and(Http::get("{$this->planning->address}/documents/PO-9")->body())
        ->toContain('Planning knows no such document.');
});

it(
    'keeps what plants build and what is known of items by revision; what goes takes nothing with it that has its number now',
    function (): void {
        $this->planning->load(
            array_map(static fn(string $number): array => StandIn::item($number, 'make'), ['200-0010', '200-0040', '200-0041']),
        );
        $entry = static fn(
            int $number,
            string $action,
            string $more,
        ): string => "<entry number=\"{$number}\" action=\"{$action}\" item=\"200-0010\" revision=\"B\" {$more}/>";
        $line = 'structure="manufacturing" plant="Weir" find="10" quantity="0.5" unit="m"';
        $entries = [
            $entry(1, 'supersede', 'structure="manufacturing" plant="Weir" supersedes="A" batch="20"'),
            $entry(2, 'add', "{$line} component=\"200-0041\""),
            $entry(3, 'remove', "{$line} component=\"200-0040\""),
            $entry(4, 'supersede', 'structure="item_data" supersedes="A"'),
            $entry(5, 'change', 'structure="item_data" field="minimum_lot" of="Weir" value="250"'),
            $entry(6, 'remove', 'structure="item_data" field="supplier" value="Riverton"'),
            $entry(7, 'add', 'structure="item_data" field="replaced_by" value="999-9999"'),
        ];
        $answers = $this->planning
            ->shown()
            ->withHeaders(['Idempotency-Key' => 'ECO-00002_1'])
            ->withBody(
                '<handOver xmlns="urn:orthotaxis:hand-over:2" order="ECO-00002" number="1" written="2026-11-23T09:00:00Z" effectiveFrom="2027-02-01"><title>T</title>' .
                    implode('', $entries) .
                    '</handOver>',
                'application/xml',
            )
            ->post('/hand-overs')
            ->throw()
            ->json('entries');
        expect(array_column($answers, 'answer'))
            ->toBe(['taken', 'taken', 'taken', 'taken', 'taken', 'taken', 'refused'])
            ->and($answers[6]['reason'])
            ->toBe('Item 999-9999 is not known to planning.');
        $page = fn(string $path): string => strip_tags(Http::get("{$this->planning->address}{$path}")->body(), '<td>');
        expect($page('/plants/Weir/200-0010'))
            ->toContain('<td>200-0041</td>')
            ->not->toContain('200-0040')
            ->and($page('/items/200-0010'))
            ->toContain('<td>minimum lot (Weir)</td><td>250</td>')
            ->not->toContain('Riverton')
            ->and($page('/'))
            ->toContain('Structures, routings and data of items')
            ->toContain('<td>item data</td>');
    },
);

it('refuses what is said of an item that it has locked, until it unlocks it', function (): void {
    $this->planning->load([['locked' => true] + StandIn::item('200-0010'), StandIn::item('200-0041')]);
    $xml =
        '<handOver xmlns="urn:orthotaxis:hand-over:2" order="ECO-00001" number="18" written="2026-11-23T09:00:00Z" effectiveFrom="2027-02-01">' .
        '<title>Locked</title><entry number="1" action="add" structure="engineering" item="200-0010" revision="B" find="10" component="200-0041" quantity="1" unit="pc"/></handOver>';
    $send = fn(): array => $this->planning
        ->shown()
        ->withHeaders(['Idempotency-Key' => 'ECO-00001_18'])
        ->withBody($xml, 'application/xml')
        ->post('/hand-overs')
        ->json('entries.0');
    expect($send())->toBe(['entry' => 1, 'answer' => 'refused', 'reason' => 'Item 200-0010 is locked in planning.']);
    expect(Http::get($this->planning->address)->body())
        ->toContain('Items that are locked')
        ->toContain('200-0010');
    Http::asForm()
        ->withoutRedirecting()
        ->post("{$this->planning->address}/behaviour", ['unlock' => '1']);
    expect($send()['answer'])->toBe('taken');
});
