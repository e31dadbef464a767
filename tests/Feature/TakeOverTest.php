<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->key = fn(int $find): string => (string) DB::table('structure_lines')
        ->where('content_id', DB::table('revisions')->where('item_id', $this->world->items['200-0010'])->orderBy('id')->value('id'))
        ->where('find', $find)
        ->value('line_key');
    $this->world->built('200-0010', 'Weir', [
        [10, '200-0040', 0.5, 'm', 10, null, ($this->key)(10)],
        [20, '200-0042', 2, 'pc', 10, null, ($this->key)(20)],
        [30, '600-0014', 6, 'pc', 20, null, ($this->key)(30)],
    ]);
    $this->order = $this->world->opened();
    $this->at = fn(string $what, array $body = [], string $by = 'jonas', string $plant = 'Weir') => $this->world->only(
        $by,
        'POST',
        in_array($what, ['undo', 'redo'], true)
            ? "/orders/{$this->order}/items/200-0010/works/manufacturing:{$plant}/{$what}"
            : "/orders/{$this->order}/items/200-0010/plants/{$plant}/{$what}",
        $body,
    );
    $this->page = fn(string $by = 'jonas', string $plant = 'Weir') => $this->world->as(
        $by,
        'GET',
        "/items/200-0010/accountability?plant={$plant}&order={$this->order}",
    );
});

it('takes over what engineering has changed, is judged and signed with it, and released with it', function (): void {
    World::planningTakes();
    $this->world->edit($this->order, 'replace', 10, ['component' => '200-0041'])->assertOk();
    $this->world->edit($this->order, 'remove', 20)->assertOk();
    $this->world->edit($this->order, 'change', 30, ['quantity' => '8'])->assertOk();
    ($this->page)()
        ->assertJsonPath('open', 2)
        ->assertJsonPath('order.may_edit', true)
        ->assertJsonPath('lines.0.suggested', ['Replaced by 200-0041'])
        ->assertJsonPath('order.can_undo', false);
    ($this->at)('taken-over', ['lines' => [($this->key)(10)], 'seen' => 0])->assertOk();
    ($this->page)()->assertJsonPath('open', 1)->assertJsonPath('order.seen', 1);
    ($this->at)('taken-over', ['lines' => [], 'seen' => 1])->assertOk();
    ($this->page)()->assertJsonPath('open', 0)->assertJsonPath('additions', [])->assertJsonCount(3, 'order.edits');
    expect($this->world->as('helen', 'GET', "/orders/{$this->order}/accountability")->json('0.edits'))
        ->toHaveCount(3)
        ->toContain('Replaced by 200-0041');
    // The engineering page is as it was, and what is in force at the plant too.
    $this->world
        ->as('vera', 'GET', '/items/200-0010/accountability')
        ->assertJsonPath('open', 0)
        ->assertJsonPath('lines.0.line.component', '200-0040');
    ($this->at)('taken-over', ['lines' => [], 'seen' => 3])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['lines']]);
    $this->world->only('jonas', 'POST', "/orders/{$this->order}/review", ['version' => $this->world->version($this->order)])->assertOk();
    // Held still while it is judged.
    ($this->at)('undo')->assertStatus(422);
    $digest = $this->world->as('helen', 'GET', "/orders/{$this->order}/review")->json('order.digest');
    $this->world->only('helen', 'POST', "/orders/{$this->order}/signature", ['password' => 'secret', 'digest' => $digest])->assertOk();
    $this->world->only('mira', 'POST', "/orders/{$this->order}/release", ['version' => $this->world->version($this->order)])->assertOk();
    $released = DB::table('contents')
        ->where(['kind' => 'manufacturing', 'code' => 'B', 'plant' => 'Weir'])
        ->first();
    expect($released?->status)
        ->toBe('released')
        ->and($released?->effective_from)
        ->toBe(World::day(30))
        ->and($released?->builds_id)
        ->toBe(DB::table('revisions')->where('item_id', $this->world->items['200-0010'])->where('code', 'B')->value('id'))
        ->and(DB::table('structure_lines')->where('content_id', $released?->id)->orderBy('find')->pluck('operation', 'quantity')->all())
        ->toBe([500_000 => 10, 8_000_000 => 20]);
    $then = World::day(31);
    $this->world
        ->as('vera', 'GET', "/items/200-0010/accountability?on={$then}")
        ->assertJson(['open' => 0, 'built' => 'B', 'builds' => 'B', 'declared' => 'B']);
    $this->artisan('ledger:verify')->assertSuccessful();
});

it('takes what is new over by the example of another item, or as its category says, and takes it back in one step', function (): void {
    // The module is built at Weir too: grease at operation 30, by the gram; the category of papers is left out.
    $this->world->built('200-0001', 'Weir', [[10, '200-0010', 1, 'pc', 10]], function (int $content): void {
        $grease = '00000000-0000-7000-8000-000000000001';
        $engineering = DB::table('revisions')->where('item_id', $this->world->items['200-0001'])->orderBy('id')->value('id');
        DB::statement('ALTER TABLE structure_lines DISABLE TRIGGER USER');
        foreach (
            [[$engineering, $grease, null, null], [$content, (string) Illuminate\Support\Str::uuid7(), 30, $grease]]
            as [$in, $key, $at, $of]
        ) {
            DB::table('structure_lines')->insert([
                'content_id' => $in,
                'line_key' => $key,
                'find' => 40,
                'component_id' => $this->world->items['710-0001'],
                'quantity' => 2_000_000,
                'unit' => 'g',
                'operation' => $at,
                'takes_over' => $of,
            ]);
        }
        DB::statement('ALTER TABLE structure_lines ENABLE TRIGGER USER');
    });
    $papers = DB::table('categories')->insertGetId(['code' => 'papers', 'name' => 'Papers', 'asked' => '[]', 'number_width' => 4]);
    DB::table('items')
        ->where('number', '200-0041')
        ->update(['category_id' => $papers]);
    $this->world->people['tomas']->update(['roles' => ['administrator']]);
    $set = fn(array $more) => $this->world->setCategory(
        'tomas',
        'papers',
        ['number_prefix' => '', 'number_width' => 4, 'number_check' => false] + $more,
    );
    $set(['taken_over' => 'left_out', 'taken_over_reason' => ''])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['taken_over_reason']]);
    $set(['taken_over' => 'somehow'])->assertStatus(422);
    $set(['taken_over' => 'left_out', 'taken_over_reason' => 'Issued apart.'])->assertOk();
    $this->world->edit($this->order, 'add', 0, ['find' => '40', 'component' => '710-0001', 'quantity' => '2', 'unit' => 'g'])->assertOk();
    $this->world->edit($this->order, 'add', 0, ['find' => '50', 'component' => '200-0041', 'quantity' => '1', 'unit' => 'm'])->assertOk();
    $page = ($this->page)()
        ->assertJsonPath('sibling', '200-0001')
        ->assertJsonPath('siblings', ['200-0001']);
    expect(
        array_map(
            static fn(array $line): array => [$line['suggested'], $line['suggested_by'], $line['suggested_of']],
            array_slice($page->json('lines'), 3),
        ),
    )->toBe([[['2 g of 710-0001 at operation 30'], 'sibling', '200-0001'], [['left out on record: Issued apart.'], 'category', 'Papers']]);
    $none = $this->world->as('jonas', 'GET', "/items/200-0010/accountability?plant=Weir&order={$this->order}&sibling=none");
    $none->assertJsonPath('sibling', null)->assertJsonPath('lines.3.suggested', ['2 g of 710-0001 at operation 20']);
    $this->world
        ->as('jonas', 'GET', "/items/200-0010/accountability?plant=Weir&order={$this->order}&sibling=600-0014")
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['sibling']]);
    ($this->at)('taken-over', ['lines' => [], 'seen' => 0, 'sibling' => '600-0014'])->assertStatus(422);
    ($this->at)('taken-over', ['lines' => [], 'seen' => 0, 'sibling' => '200-0001'])->assertOk();
    ($this->page)()
        ->assertJsonPath('open', 0)
        ->assertJsonPath('lines.4.account', 'left_out')
        ->assertJsonPath('lines.3.shares.0.operation', 30);
    ($this->at)('undo')->assertOk();
    ($this->page)()->assertJsonPath('open', 2)->assertJsonPath('order.edits', []);
});

it('changes manufacturing alone, without a new engineering revision', function (): void {
    World::planningTakes();
    // The clamp is fitted elsewhere; engineering stays as it is.
    $this->world
        ->only('mira', 'PUT', "/orders/{$this->order}/items/200-0001", ['outcome' => 'keep', 'disposition' => 'use_up', 'version' => 5])
        ->assertOk();
    $this->world->built('200-0001', 'Tarn', [[10, '200-0010', 1, 'pc', 10]]);
    $key = DB::table('structure_lines')->where('component_id', $this->world->items['200-0010'])->whereNull('operation')->value('line_key');
    $this->world
        ->only('jonas', 'POST', "/orders/{$this->order}/items/200-0001/plants/Tarn/records", [
            'line' => $key,
            'reason' => 'Built by Weir.',
            'seen' => 0,
        ])
        ->assertOk();
    $this->world
        ->as('jonas', 'GET', "/items/200-0001/accountability?plant=Tarn&order={$this->order}")
        ->assertJsonPath('lines.0.why', '200-0010 is left out on record, and built all the same');
    $this->world->only('jonas', 'POST', "/orders/{$this->order}/items/200-0001/works/manufacturing:Tarn/undo")->assertOk();
    $this->world
        ->as('jonas', 'GET', "/items/200-0001/accountability?plant=Tarn&order={$this->order}")
        ->assertJson(['open' => 0, 'order' => ['can_undo' => false]]);
});

it('keeps on record what is left out or replaced, with its reason, and takes it off again', function (): void {
    $record = fn(array $body) => ($this->at)('records', $body + ['line' => ($this->key)(30)]);
    $record(['reason' => ' ', 'seen' => 0])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['reason']]);
    $record(['reason' => 'No.', 'by' => '999-9999', 'unit' => 'pc', 'seen' => 0])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['by']]);
    $record(['line' => '01a21de3-0000-7000-8000-000000000000', 'reason' => 'No.', 'seen' => 0])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['line']]);
    expect(
        DB::table('edits')
            ->whereIn('operation', ['record', 'unrecord'])
            ->count(),
    )->toBe(0);
    $record(['reason' => 'Grease holds it.', 'by' => '710-0001', 'new' => '3', 'unit' => 'g', 'old' => '6', 'seen' => 0])->assertOk();
    ($this->page)()
        ->assertJsonPath('lines.2.record.by', '710-0001')
        ->assertJsonPath('lines.2.wanted', '3')
        ->assertJsonPath('lines.2.account', 'open')
        ->assertJsonPath('order.edits', ['replaced by 710-0001 on record: Grease holds it.']);
    // Somebody with an older page is told.
    $record(['reason' => 'Late.', 'seen' => 0])->assertStatus(409);
    $record(['seen' => 1])->assertOk();
    ($this->page)()->assertJsonPath('open', 0)->assertJsonPath('lines.2.record', null);
});

it('goes on from what another order released at the plant meanwhile', function (): void {
    World::planningTakes();
    $first = $this->order;
    $this->world->edit($first, 'change', 30, ['quantity' => '8'])->assertOk();
    ($this->at)('taken-over', ['lines' => [], 'seen' => 0])->assertOk();
    $this->order = $second = $this->world->opened();
    $this->world->edit($second, 'replace', 10, ['component' => '200-0041'])->assertOk();
    ($this->at)('taken-over', ['lines' => [], 'seen' => 0])->assertOk();
    $this->world->released($second);

    $this->order = $first;
    $this->world->as('jonas', 'POST', "/orders/{$first}/items/200-0010/works/engineering/newer")->assertOk();
    $review = fn() => $this->world->only('jonas', 'POST', "/orders/{$first}/review", ['version' => $this->world->version($first)]);
    expect($review()->assertStatus(422)->getContent())->toContain('200-0010, manufacturing at Weir is at revision B by now');
    // What was done there goes on from it: eight screws, and the thicker tube.
    $this->world
        ->only('jonas', 'GET', "/orders/{$first}/items/200-0010/works/manufacturing:Weir/newer")
        ->assertOk()
        ->assertExactJson(['base' => 'A', 'newest' => 'B', 'edits' => 1, 'agreed' => 0, 'conflicts' => []]);
    $this->world->only('jonas', 'POST', "/orders/{$first}/items/200-0010/works/manufacturing:Weir/newer")->assertOk();
    ($this->page)()
        ->assertJson(['open' => 0, 'order' => ['edits' => ['Quantity 8']]])
        ->assertJsonPath('lines.0.shares.0.item.number', '200-0041');
    // What is left is that both would begin on one day.
    expect($review()->getContent())->not->toContain('by now')->toContain('revision B itself');
});

it('releases nothing at a plant where all was undone', function (): void {
    World::planningTakes();
    $this->world->edit($this->order, 'change', 30, ['quantity' => '8'])->assertOk();
    ($this->at)('taken-over', ['lines' => [], 'seen' => 0])->assertOk();
    ($this->at)('undo')->assertOk();
    ($this->page)()->assertJson(['open' => 1, 'order' => ['edits' => [], 'seen' => 1]]);
    $this->world->follows($this->order, 'Weir');
    $this->world->released($this->order);
    expect(DB::table('contents')->where('kind', 'manufacturing')->pluck('code')->all())->toBe(['A']);
});

it('begins to build an item at a plant that has not built it', function (): void {
    ($this->page)('jonas', 'Tarn')->assertJson(['plant' => 'Tarn', 'built' => null, 'open' => 3]);
    ($this->at)('taken-over', ['lines' => [], 'seen' => 0], 'jonas', 'Tarn')->assertOk();
    ($this->page)('jonas', 'Tarn')->assertJson(['open' => 0]);
    expect($this->world->as('vera', 'GET', "/orders/{$this->order}/accountability")->json('*.plant'))->toBe(['Tarn', 'Weir']);
});

it('lets only the editor, at a plant there is, while the order is open for revision', function (): void {
    $body = ['lines' => [], 'seen' => 0];
    ($this->at)('taken-over', $body, 'vera')->assertForbidden();
    ($this->at)('taken-over', $body, 'edda')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['editor']]);
    ($this->at)('taken-over', $body, 'jonas', 'Nowhere')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['plant']]);
    ($this->at)('undo')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['edits']]);
    ($this->page)('vera')->assertJsonPath('order.may_edit', false);
    expect(DB::table('works')->where('kind', 'manufacturing')->count())->toBe(0);
});

it('takes over by hand at an operation, in parts that add up, and takes it back at one stroke', function (): void {
    $this->world->edit($this->order, 'change', 30, ['quantity' => '10'])->assertOk();
    $this->world->edit($this->order, 'add', 40, ['find' => '40', 'component' => '710-0001', 'quantity' => '3', 'unit' => 'g'])->assertOk();
    $grease = collect(($this->page)()->json('lines'))->firstWhere('line.component', '710-0001')['line']['key'];
    $screws = ($this->key)(30);
    $lines = fn(): array => collect(
        $this->world->as('jonas', 'GET', "/orders/{$this->order}/items/200-0010/plants/Weir/redline")->json('rows'),
    )
        ->where('mark', 'added')
        ->map(fn(array $row): string => "{$row['after']['operation']}: {$row['after']['quantity']} {$row['after']['component']}")
        ->sort()
        ->values()
        ->all();
    ($this->at)('taken-over', ['lines' => [$screws, $grease], 'operation' => '10', 'parts' => [$screws => '1'], 'seen' => 0])->assertOk();
    ($this->page)()->assertJsonPath('open', 1);
    expect($lines())->toBe(['10: 1 600-0014', '10: 3 710-0001']);
    ($this->at)('taken-over', ['lines' => [$screws], 'operation' => '30', 'parts' => [$screws => '4'], 'seen' => 2])
        ->assertStatus(422)
        ->assertJsonPath("errors.{$screws}.0", '3 pc of it are open; take over more than nothing, and no more than that.');
    ($this->at)('taken-over', ['lines' => [$screws], 'operation' => '30', 'parts' => [$screws => ''], 'seen' => 2])->assertOk();
    ($this->page)()->assertJsonPath('open', 0);
    ($this->at)('taken-over', ['lines' => [$screws], 'operation' => '30', 'seen' => 3])->assertStatus(422);
    ($this->at)('taken-over', ['lines' => [], 'operation' => '30', 'seen' => 3])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['lines']]);
    ($this->at)('undo')->assertOk();
    ($this->at)('undo')->assertOk();
    expect($lines())->toBe([]);
    ($this->at)('undo')->assertStatus(422);
    ($this->at)('redo')->assertOk();
    expect($lines())->toBe(['10: 1 600-0014', '10: 3 710-0001']);
});

it('gathers lines into a kit that only manufacturing has, and stays complete', function (): void {
    $kit = DB::table('items')->insertGetId([
        'number' => '200-0900',
        'title' => 'Small parts kit',
        'kind' => 'assembly',
        'unit' => 'pc',
        'category_id' => DB::table('categories')->value('id'),
    ]);
    $lines = DB::table('structure_lines')
        ->join('contents', 'contents.id', '=', 'content_id')
        ->where('contents.kind', 'manufacturing')
        ->orderBy('find')
        ->pluck('line_key')
        ->all();
    $gather = fn(array $of, string $into = '200-0900', int $seen = 0) => ($this->at)('kits', [
        'kit' => $into,
        'lines' => $of,
        'seen' => $seen,
    ]);
    $gather([$lines[0], $lines[1]])
        ->assertStatus(422)
        ->assertJsonPath('errors.kit.0', "Add 200-0900 to {$this->order} first, as \"Manufacturing only\".");
    $gather([$lines[0]], '999-9999')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['kit']]);
    $gather([$lines[0]], '200-0001')
        ->assertStatus(422)
        ->assertJsonPath('errors.kit.0', fn(string $why): bool => str_contains($why, 'Engineering declares'));
    $gather([$lines[0]], '200-0010')->assertStatus(422);
    $this->world
        ->only('mira', 'PUT', "/orders/{$this->order}/items/200-0900", [
            'outcome' => 'build',
            'disposition' => null,
            'version' => $this->world->version($this->order),
        ])
        ->assertOk();
    $gather([$lines[0], $lines[2]])
        ->assertStatus(422)
        ->assertJsonPath('errors.lines.0', 'A kit is consumed at one operation: these lines are at several.');
    expect(DB::table('edits')->count())->toBe(0);
    $gather([$lines[0], $lines[1]])->assertOk();
    ($this->page)()->assertJsonPath('open', 0)->assertJsonPath('additions', []);
    $shown = fn(string $item): array => array_map(
        static fn(array $row): string => "{$row['mark']} " . ($row['after'] ?? $row['before'])['component'],
        $this->world->as('jonas', 'GET', "/orders/{$this->order}/items/{$item}/plants/Weir/redline")->json('rows'),
    );
    expect($shown('200-0900'))
        ->toBe(['added 200-0040', 'added 200-0042'])
        ->and($shown('200-0010'))
        ->toContain('unchanged 600-0014');
    // At one stroke, each of both.
    ($this->at)('undo')->assertOk();
    ($this->page)()->assertJsonPath('open', 0);
    expect($shown('200-0010'))
        ->toBe(['unchanged 200-0040', 'unchanged 200-0042', 'unchanged 600-0014'])
        ->and($shown('200-0900'))
        ->toBe([]);
    ($this->at)('redo')->assertOk();
    expect($shown('200-0900'))->toBe(['added 200-0040', 'added 200-0042']);
    // Once the kit is edited for itself, that goes first.
    $ofKit = fn(string $what, array $body = []) => $this->world->only(
        'jonas',
        'POST',
        "/orders/{$this->order}/items/200-0900/" . ($body === [] ? "works/manufacturing:Weir/{$what}" : "plants/Weir/{$what}"),
        $body,
    );
    $tube = $this->world->as('jonas', 'GET', "/orders/{$this->order}/items/200-0900/plants/Weir/redline")->json('rows.0.key');
    $ofKit('edits', ['edits' => [['edit' => 'change', 'part' => $tube, 'fields' => ['notes' => 'cut']]], 'seen' => 99])->assertOk();
    ($this->at)('undo')
        ->assertStatus(422)
        ->assertJsonPath(
            'errors.edits.0',
            '200-0900, manufacturing at Weir was edited after this was done to several at once: undo that first.',
        );
    $ofKit('undo')->assertOk();
    $ofKit('undo')->assertOk();
    expect($shown('200-0010'))->toBe(['unchanged 200-0040', 'unchanged 200-0042', 'unchanged 600-0014']);
    ($this->page)()->assertJsonPath('open', 0);
});
