<?php

declare(strict_types=1);

use App\Orders\Models\EditRecord;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->key = (string) DB::table('structure_lines')
        ->where('content_id', DB::table('revisions')->where('item_id', $this->world->items['200-0010'])->value('id'))
        ->where('find', 30)
        ->value('line_key');
    foreach (['Tarn', 'Weir'] as $plant) {
        $this->world->built('200-0010', $plant, [[30, '600-0014', 6, 'pc', 10, null, $this->key]]);
    }
    $this->parents = $this->world->parents(40, '600-0014', 3, 'pc');
    $this->order = $this->world->opened();
    $this->seen = fn(string $query, string $by = 'mira'): TestResponse => $this->world->only(
        $by,
        'GET',
        "/orders/{$this->order}/replacement?old=600-0014&{$query}",
    );
    $this->replace = fn(array $rows, string $new = '200-0042', string $from = '', string $by = 'mira'): TestResponse => $this->world->only(
        $by,
        'POST',
        "/orders/{$this->order}/replacement",
        [
            'old' => '600-0014',
            'new' => $new,
            'from' => $from,
            'lines' => array_map(
                static fn(array $row): array => [
                    'item' => $row['item']['number'],
                    'work' => $row['work'],
                    'line' => $row['before']['key'],
                ],
                $rows,
            ),
        ],
    );
});

it('shows every line before and after, engineering and plants, with what it costs and what stands there already', function (): void {
    $page = ($this->seen)('new=200-0042:2')->assertOk();
    $rows = $page->json('rows');
    expect(array_count_values(array_column($rows, 'work')))
        ->toBe(['engineering' => 41, 'manufacturing:Tarn' => 1, 'manufacturing:Weir' => 1])
        ->and($page->json('works'))
        ->toBe(['engineering', 'manufacturing:Tarn', 'manufacturing:Weir']);
    $head = $rows[0];
    expect($head['item']['number'])
        ->toBe('200-0010')
        ->and($head['named'])
        ->toBeTrue()
        ->and($head['after'][0]['component'])
        ->toBe('200-0042')
        ->and($head['after'][0]['quantity'])
        ->toBe('12')
        // 12 clamps at 0.68 in place of 6 screws at 0.05.
        ->and($head['cost'])
        ->toBe('7.86')
        ->and(array_column($head['beside'], 'find'))
        ->toBe([20])
        ->and($rows[1]['named'])
        ->toBeFalse();
    expect(($this->seen)('new=200-0042&category=pump')->json('rows'))->toHaveCount(43);
    expect(($this->seen)('new=200-0042&work=manufacturing:Weir')->json('rows'))->toHaveCount(1);
    expect(array_unique(array_column(array_column(($this->seen)('new=200-0042&product=200-0001')->json('rows'), 'item'), 'number')))->toBe([
        '200-0010',
    ]);
});

it('replaces it everywhere in one act, which names the parents and is undone as one', function (): void {
    $version = $this->world->version($this->order);
    $stroke = ($this->replace)(($this->seen)('new=200-0042')->json('rows'))
        ->assertOk()
        ->json('stroke');
    expect(EditRecord::query()->where('stroke', $stroke)->count())
        ->toBe(43)
        ->and(
            DB::table('change_order_items')
                ->join('items', 'items.id', '=', 'item_id')
                ->whereIn('items.number', $this->parents)
                ->where('outcome', 'revise')
                ->count(),
        )
        ->toBe(40)
        ->and($this->world->version($this->order))
        ->toBe($version + 1)
        ->and(
            DB::table('ledger')
                ->whereIn('act', ['order.items_named', 'order.edited_together'])
                ->orderBy('number')
                ->pluck('act')
                ->all(),
        )
        ->toBe(['order.items_named', 'order.edited_together']);
    foreach (['300-0007', '300-0040'] as $parent) {
        $this->world
            ->as('jonas', 'GET', "/orders/{$this->order}/items/{$parent}/redline")
            ->assertJsonPath('rows.0.mark', 'replaced')
            ->assertJsonPath('rows.0.after.component', '200-0042')
            ->assertJsonPath('rows.0.edited_by', 'Mira');
    }
    // Plants have taken over what engineering became.
    $this->world
        ->as('jonas', 'GET', "/items/200-0010/accountability?plant=Weir&order={$this->order}")
        ->assertJsonPath('lines.2.line.component', '200-0042')
        ->assertJsonPath('lines.2.rest', '0');
    expect(($this->seen)('new=200-0042')->json('rows'))->toBe([]);

    $this->world->only('mira', 'POST', "/orders/{$this->order}/strokes/{$stroke}/undo")->assertOk();
    expect(EditRecord::query()->where('stroke', $stroke)->whereNull('withdrawn_at')->count())
        ->toBe(0)
        ->and(($this->seen)('new=200-0042')->json('rows'))
        ->toHaveCount(43);
    // Whoever edits does it again from any of them.
    $this->world->only('jonas', 'POST', "/orders/{$this->order}/items/300-0001/works/engineering/redo")->assertOk();
    expect(EditRecord::query()->where('stroke', $stroke)->whereNull('withdrawn_at')->count())->toBe(43);
});

it('ends the old on the day before and begins the new on the day, at plants as in engineering', function (): void {
    $from = World::day(60);
    ($this->replace)(($this->seen)("new=200-0041&from={$from}")->json('rows'), '200-0041:0.5', $from)->assertOk();
    $rows = $this->world->as('jonas', 'GET', "/orders/{$this->order}/items/200-0010/redline")->json('rows');
    $old = collect($rows)->first(fn(array $row): bool => ($row['after']['component'] ?? '') === '600-0014');
    $new = collect($rows)->first(fn(array $row): bool => $row['mark'] === 'added');
    expect($old['after']['last_day'])
        ->toBe(World::day(59))
        ->and([
            $new['after']['find'],
            $new['after']['component'],
            $new['after']['quantity'],
            $new['after']['unit'],
            $new['after']['first_day'],
        ])
        ->toBe([30, '200-0041', '3', 'm', $from]);
    $built = $this->world->as('jonas', 'GET', "/orders/{$this->order}/items/200-0010/plants/Weir/redline")->json('rows');
    $atPlant = collect($built)->first(fn(array $row): bool => $row['mark'] === 'added');
    expect($atPlant['after']['takes_over'])->toBe($new['key'])->and($atPlant['after']['operation'])->toBe(10);
});

it('takes out what is replaced by nothing', function (): void {
    ($this->replace)(array_slice(($this->seen)('new=')->json('rows'), 1, 1), '')->assertOk();
    $this->world->as('jonas', 'GET', "/orders/{$this->order}/items/300-0001/redline")->assertJsonPath('rows.0.mark', 'removed');
});

it('does nothing at all where one line cannot be so, and says which', function (): void {
    $rows = ($this->seen)('new=200-0042:0.5')->json('rows');
    // Three pieces, at one for two.
    expect($rows[1]['fault'])->toContain('1.5 pc');
    ($this->replace)($rows, '200-0042:0.5')
        ->assertStatus(422)
        ->assertJsonPath('errors', fn(array $errors): bool => count($errors) === 40 && isset($errors['lines.1'], $errors['lines.40']));
    expect(EditRecord::query()->count())
        ->toBe(0)
        ->and(DB::table('change_order_items')->count())
        ->toBe(2);
});

it('closes no loop, be it through what the same act does', function (): void {
    expect(($this->seen)('new=200-0001')->json('rows.0.fault'))->toContain('200-0010 → 200-0001 → 200-0010');
    $rows = ($this->seen)('new=300-0002')->json('rows');
    $faults = collect($rows)->filter(fn(array $row): bool => $row['fault'] !== null)->map(fn(array $row): string => $row['item']['number']);
    expect($faults->values()->all())->toBe(['300-0002']);
    ($this->replace)($rows, '300-0002')->assertStatus(422);
    expect(EditRecord::query()->count())->toBe(0);
});

it('lets the editor replace in what is on the order, and names nothing further for them', function (): void {
    $rows = ($this->seen)('new=200-0042', 'jonas')->assertJsonPath('may_name', false)->assertJsonPath('may_replace', null)->json('rows');
    ($this->replace)($rows, by: 'jonas')
        ->assertStatus(422)
        ->assertJsonPath('errors', fn(array $errors): bool => isset($errors['items.300-0001']) && count($errors) === 40);
    ($this->replace)(array_slice($rows, 0, 1), by: 'jonas')->assertOk();
    expect(($this->seen)('new=200-0042', 'edda')->json('may_replace'))->toContain('names another person');
    ($this->replace)(array_slice($rows, 1, 1), by: 'edda')->assertStatus(422);
    ($this->replace)(array_slice($rows, 1, 1), by: 'vera')->assertForbidden();
});

it('tells whoever replaces what is replaced already', function (): void {
    $rows = array_slice(($this->seen)('new=200-0042')->json('rows'), 0, 2);
    ($this->replace)($rows)->assertOk();
    ($this->replace)($rows)
        ->assertStatus(422)
        ->assertJsonPath('errors', fn(array $errors): bool => str_contains($errors['lines.0'][0], 'no longer has 600-0014'));
});

it('is undone only while nothing was done after it', function (): void {
    $rows = array_slice(($this->seen)('new=200-0042')->json('rows'), 0, 3);
    $stroke = ($this->replace)($rows)->json('stroke');
    $this->world->edit($this->order, 'change', 30, ['quantity' => '8'])->assertOk();
    $this->world
        ->only('mira', 'POST', "/orders/{$this->order}/strokes/{$stroke}/undo")
        ->assertStatus(422)
        ->assertJsonPath('errors.edits.0', '200-0010 was edited after this was done to several at once: undo that first.');
    expect(EditRecord::query()->where('stroke', $stroke)->whereNull('withdrawn_at')->count())->toBe(3);
});

it('refuses what is no replacement, at its place', function (string $query, string $place): void {
    $this->world
        ->only('mira', 'GET', "/orders/{$this->order}/replacement?{$query}")
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => [$place]]);
})->with([
    'nothing that goes' => ['new=200-0042', 'old'],
    'what is not there' => ['old=600-0041&new=200-0042', 'old'],
    'a new one that is not there' => ['old=600-0014&new=200-0420', 'new'],
    'itself' => ['old=600-0014&new=600-0014', 'new'],
    'twice the same' => ['old=600-0014&new=200-0042,200-0042:2', 'new'],
    'none of it' => ['old=600-0014&new=200-0042:0', 'new'],
    'half a word' => ['old=600-0014&new=200-0042:two', 'new'],
    'a day before the order holds' => ['old=600-0014&new=200-0042&from=2020-01-01', 'from'],
    'no day' => ['old=600-0014&new=200-0042&from=tomorrow', 'from'],
    'a product that is not there' => ['old=600-0014&product=NONE', 'product'],
    'a category that is not there' => ['old=600-0014&category=NONE', 'category'],
]);

it('asks the database as often for forty parents as for one', function (): void {
    $count = function (array $rows): int {
        DB::enableQueryLog();
        DB::flushQueryLog();
        ($this->replace)($rows)->assertOk();
        $asked = count(DB::getQueryLog());
        DB::disableQueryLog();

        return $asked;
    };
    $rows = ($this->seen)('new=200-0042')->json('rows');
    $one = $count(array_slice($rows, 1, 1));
    expect($count(array_slice($rows, 2, 38)))->toBeLessThanOrEqual($one + 2);
});
