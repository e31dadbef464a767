<?php

declare(strict_types=1);

use App\Documents\Models\ItemDocument;
use App\Imports\Models\Import;
use App\Structures\Commands\IndexStructures;
use App\Structures\Models\Category;
use App\Structures\Models\Item;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    config(['orthotaxis.index.folder' => sys_get_temp_dir() . '/orthotaxis-index-' . bin2hex(random_bytes(4))]);
    World::planningTakes();
    $this->world = new World($this);
    // A spares kit that names revision A of the head, whatever comes after it.
    $item = Item::query()->create([
        'number' => '110-0001',
        'title' => 'Spares kit',
        'kind' => 'assembly',
        'category_id' => Category::query()->value('id'),
        'unit' => 'pc',
        'supply' => 'make',
        'sold' => true,
    ]);
    $this->kit = (string) Str::uuid7();
    $revision = DB::table('revisions')->insertGetId(['item_id' => $item->id, 'code' => 'A', 'status' => 'in_work']);
    DB::table('structure_lines')->insert([
        'content_id' => $revision,
        'line_key' => $this->kit,
        'find' => 10,
        'component_id' => $this->world->items['200-0010'],
        'quantity' => 2_000_000,
        'unit' => 'pc',
        'pinned_id' => DB::table('revisions')->where('item_id', $this->world->items['200-0010'])->value('id'),
    ]);
    DB::table('revisions')
        ->where('id', $revision)
        ->update(['status' => 'in_review']);
    DB::table('revisions')
        ->where('id', $revision)
        ->update(['status' => 'released', 'effective_from' => World::day(-300), 'released_at' => now()]);
    $this->release = function (string $order): void {
        $this->world->leave($order);
        $this->world->as('jonas', 'POST', "/orders/{$order}/review", ['version' => $this->world->version($order)])->assertOk();
        $digest = $this->world->as('helen', 'GET', "/orders/{$order}/review")->json('order.digest');
        $this->world->as('helen', 'POST', "/orders/{$order}/signature", ['password' => 'secret', 'digest' => $digest])->assertOk();
        $this->world->as('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])->assertOk();
    };
    // Revision B of the head has another tube.
    $this->order = $this->world->opened();
    $this->world->edit($this->order, 'replace', 10, ['component' => '200-0041'])->assertOk();
    ($this->release)($this->order);
    $this->later = World::day(60);
});

afterEach(fn() => File::deleteDirectory(config()->string('orthotaxis.index.folder')));

$components = static fn($rows): array => collect($rows)->pluck('quantity', 'item.number')->all();

it('goes by the revision that a line names, with the index written before, after or not at all', function (string $when) use (
    $components,
): void {
    if ($when !== 'never') {
        $this->artisan(IndexStructures::class)->assertSuccessful();
    }
    if ($when === 'before') {
        DB::table('structure_touches')->insert(['item_id' => Item::query()->where('number', '110-0001')->value('id')]);
    }
    $this->world
        ->as('vera', 'GET', "/items/110-0001/structure?levels=3&on={$this->later}")
        ->assertJsonPath('rows.*.line.component', ['200-0010', '200-0040', '200-0042', '600-0014'])
        ->assertJsonPath('rows.0.revision', 'A')
        ->assertJsonPath('rows.0.status', 'superseded')
        ->assertJsonPath('rows.0.opens', true)
        ->assertJsonPath('rows.0.line.revision', 'A');
    $this->world
        ->as('vera', 'GET', "/items/200-0001/structure?levels=3&on={$this->later}")
        ->assertJsonPath('rows.*.line.component', ['200-0010', '200-0041', '200-0042', '600-0014']);
    $summary = $this->world->as('vera', 'GET', "/items/110-0001/summary?on={$this->later}")->assertOk();
    expect($components($summary->json('rows')))
        ->toBe(['200-0010' => '2', '200-0040' => '1', '200-0042' => '4', '600-0014' => '12'])
        ->and($summary->json('rows.0.revision'))
        ->toBe('A');
    // The old tube is used in the kit through the revision it names; the head of that day does not use it.
    $used = $this->world->as('vera', 'GET', "/items/200-0040/where-used?on={$this->later}")->assertOk();
    expect($components($used->json('rows')))
        ->toBe(['200-0010' => '0.5', '110-0001' => '1'])
        ->and($used->json('rows.0.revision'))
        ->toBe('A');
    $used = $this->world->as('vera', 'GET', "/items/200-0010/where-used?on={$this->later}")->assertOk();
    expect($components($used->json('rows')))
        ->toEqualCanonicalizing(['110-0001' => '2', '200-0001' => '1'])
        ->and($used->json('tops'))
        ->toBe(2);
    $direct = $this->world->as('vera', 'GET', "/items/200-0010/where-used?only=direct&on={$this->later}")->assertOk();
    expect($components($direct->json('rows')))->toBe(['110-0001' => '2', '200-0001' => '1']);
})->with(['never', 'before', 'after']);

it('lists who points to an older revision; some adopt the newest under an order', function (): void {
    $document = Item::query()->create([
        'number' => '800-0010',
        'title' => 'Drawing',
        'kind' => 'drawing',
        'category_id' => Category::query()->value('id'),
        'unit' => 'pc',
        'supply' => 'make',
    ]);
    $link = ItemDocument::query()->create([
        'item_id' => $this->world->items['200-0010'],
        'document_id' => $document->id,
        'shows_revision_id' => DB::table('revisions')->where('item_id', $this->world->items['200-0010'])->where('code', 'A')->value('id'),
    ]);
    $this->world
        ->as('vera', 'GET', '/items/200-0010/older-uses')
        ->assertJsonPath('newest', 'B')
        ->assertJsonPath('uses.*.item.number', ['110-0001', '800-0010'])
        ->assertJsonPath('uses.*.revision', ['A', 'A'])
        ->assertJsonPath('uses.0.find', 10);

    $order = $this->world->opened();
    $uses = [['item' => '110-0001', 'line' => $this->kit], ['item' => '800-0010', 'line' => '']];
    $body = ['item' => '200-0010', 'uses' => $uses];
    $this->world->as('jonas', 'POST', "/orders/{$order}/adoptions", $body)->assertForbidden();
    $this->world
        ->as('mira', 'POST', "/orders/{$order}/adoptions", [
            'item' => '200-0010',
            'uses' => [...$uses, ['item' => '200-0001', 'line' => '']],
        ])
        ->assertStatus(422);
    expect(DB::table('change_order_items')->join('items', 'items.id', '=', 'item_id')->where('number', '110-0001')->count())->toBe(0);
    $this->world
        ->as('mira', 'POST', "/orders/{$order}/adoptions", $body)
        ->assertOk()
        ->assertJsonPath('number', $order);
    $this->world->as('mira', 'GET', '/items/200-0010/older-uses')->assertJsonPath('uses.*.adopted_by', [$order, $order]);
    $this->world->as('mira', 'POST', "/orders/{$order}/adoptions", $body)->assertStatus(422);
    $this->world
        ->as('vera', 'GET', "/orders/{$order}/items/110-0001/redline")
        ->assertJsonPath('rows.0.before.revision', 'A')
        ->assertJsonPath('rows.0.after.revision', 'B')
        ->assertJsonPath('rows.0.fields', ['revision']);

    foreach (['110-0001', '800-0010'] as $item) {
        $this->world
            ->as('mira', 'PUT', "/orders/{$order}/items/{$item}", [
                'outcome' => 'revise',
                'disposition' => 'use_up',
                'version' => $this->world->version($order),
            ])
            ->assertOk();
    }
    $this->world
        ->as('mira', 'PATCH', "/orders/{$order}", ['effective_on' => World::day(50), 'version' => $this->world->version($order)])
        ->assertOk();
    $this->world->edit($order, 'change', 30, ['quantity' => '8'])->assertOk();
    ($this->release)($order);
    // The head itself went to revision C under the same order: the kit was to adopt B and did; the drawing shows the newest.
    $this->world->as('vera', 'GET', '/items/110-0001/structure?on=' . $this->later)->assertJsonPath('rows.0.line.revision', 'B');
    $this->world
        ->as('vera', 'GET', '/items/200-0010/older-uses')
        ->assertJsonPath('newest', 'C')
        ->assertJsonPath('uses.*.item.number', ['110-0001']);
    expect($link->refresh()->adopting_order_id)->toBeNull();
});

it('lets a line name a revision that comes with the same order, and no other that there is not', function (): void {
    $order = $this->world->opened();
    $this->world
        ->as('mira', 'PUT', "/orders/{$order}/items/110-0001", [
            'outcome' => 'revise',
            'disposition' => 'use_up',
            'version' => $this->world->version($order),
        ])
        ->assertOk();
    $edit = fn(string $revision) => $this->world->as('jonas', 'POST', "/orders/{$order}/items/110-0001/edits", [
        'operation' => 'change',
        'line' => $this->kit,
        'fields' => ['revision' => $revision],
        'seen' => 99,
    ]);
    $edit('Q')
        ->assertStatus(422)
        ->assertJsonPath('errors.revision.0', fn(string $told): bool => str_contains($told, 'no released revision Q'));
    $edit('C')->assertOk();
    $this->world
        ->as('mira', 'PATCH', "/orders/{$order}", ['effective_on' => World::day(50), 'version' => $this->world->version($order)])
        ->assertOk();
    $this->world->edit($order, 'change', 30, ['quantity' => '8'])->assertOk();
    ($this->release)($order);
    $this->world
        ->as('vera', 'GET', '/items/110-0001/structure?levels=2&on=' . $this->later)
        ->assertJsonPath('rows.0.line.revision', 'C')
        ->assertJsonPath('rows.3.line.quantity', '8');
});

it('compares by the revision that a line names', function (): void {
    $this->artisan(IndexStructures::class)->assertSuccessful();
    $query = http_build_query(['left' => '110-0001', 'right' => '110-0001', 'left_on' => World::day(0), 'right_on' => $this->later]);
    $this->world
        ->as('vera', 'GET', "/comparison?{$query}")
        ->assertOk()
        ->assertJsonPath('rows', []);
    $query = http_build_query(['left' => '200-0001', 'right' => '200-0001', 'left_on' => World::day(0), 'right_on' => $this->later]);
    $this->world
        ->as('vera', 'GET', "/comparison?{$query}")
        ->assertOk()
        ->assertJsonCount(1, 'rows');
});

it('writes a file of all levels with the revisions that lines name, and takes it over again as the same', function (string $format): void {
    $response = $this->world->as('vera', 'GET', "/items/110-0001/structure/{$format}?on={$this->later}")->assertOk();
    $file = $format === 'json' ? $response->getContent() : $response->streamedContent();
    if ($format === 'csv') {
        // The kit has two heads at A, and those have the old tube, as on screen.
        expect($file)
            ->toMatch('/^110-0001,10,200-0010,2,.*,A,,/m')
            ->toMatch('/^200-0010,10,200-0040,0\.5,.*,A,/m')
            ->not->toContain('200-0041');
    }
    // Under another number the same file gives the same kit: what it says of the released head is what is there.
    Item::query()->create([
        'number' => '110-0002',
        'title' => 'Spares kit again',
        'kind' => 'assembly',
        'category_id' => Category::query()->value('id'),
        'unit' => 'pc',
        'supply' => 'make',
        'sold' => true,
    ]);
    $bring = fn(string $content) => $this->actingAs($this->world->people['mira'])
        ->post(
            '/api/imports',
            ['subject' => 'structures', 'file' => UploadedFile::fake()->createWithContent("kit.{$format}", $content)],
            ['Accept' => 'application/json'],
        )
        ->assertOk();
    $last = fn(): Import => Import::query()->orderByDesc('asked_at')->orderByDesc('id')->firstOrFail();
    if ($format !== 'xlsx') {
        $bring(str_replace('110-0001', '110-0002', $file));
        expect($last()->faults)->toBe([])->and($last()->outcome)->toBe('1 structures with 1 lines');
        $rows = fn(string $number): array => $this->world
            ->as('vera', 'GET', "/items/{$number}/structure?levels=3&on={$this->later}")
            ->json('rows.*.line.component');
        expect($rows('110-0002'))->toBe($rows('110-0001'));
        // What is released never changes: a row that says otherwise is named, and nothing is taken over.
        $bring(str_replace(['110-0001', '0.5'], ['110-0003', '0.7'], $file));
        expect($last()->state)
            ->toBe('refused')
            ->and(implode(' ', array_column($last()->faults, 'reason')))
            ->toContain('Revision A of 200-0010 is released and does not read so');
    }
    $brought = $this->actingAs($this->world->people['vera'])
        ->post(
            '/api/comparison-files',
            ['file' => UploadedFile::fake()->createWithContent("kit.{$format}", $file)],
            ['Accept' => 'application/json'],
        )
        ->assertOk()
        ->json('id');
    $query = http_build_query([
        'left' => '110-0001',
        'right' => '110-0001',
        'left_on' => $this->later,
        'right_file' => $brought,
        'levels' => 'all',
    ]);
    $this->world
        ->as('vera', 'GET', "/comparison?{$query}")
        ->assertOk()
        ->assertJsonPath('rows', []);
})->with(['csv', 'json', 'xlsx']);

it('orders what uses an item the same with and without the index', function (): void {
    $ways = [];
    foreach (['without', 'with'] as $way) {
        if ($way === 'with') {
            $this->artisan(IndexStructures::class)->assertSuccessful();
        }
        foreach (['200-0010', '200-0040', '600-0014'] as $number) {
            $page = $this->world->as('vera', 'GET', "/items/{$number}/where-used?on={$this->later}")->assertOk();
            $ways[$way][$number] = array_map(
                null,
                $page->json('rows.*.item.number'),
                $page->json('rows.*.revision'),
                $page->json('rows.*.level'),
            );
        }
    }
    expect($ways['with'])->toBe($ways['without']);
});

it('knows of no revision that only a plant names, where engineering is looked at', function (): void {
    $module = $this->world->items['200-0001'];
    $this->world->items['110-0001'] = DB::table('items')->where('number', '110-0001')->value('id');
    // A plant puts a revision of the module into its kit that no line of engineering names.
    $this->world->built('110-0001', 'Weir', [], static function (int $content) use ($module): void {
        DB::table('structure_lines')->insert([
            'content_id' => $content,
            'line_key' => (string) Str::uuid7(),
            'find' => 10,
            'component_id' => $module,
            'quantity' => 1_000_000,
            'unit' => 'pc',
            'pinned_id' => DB::table('revisions')->where('item_id', $module)->value('id'),
        ]);
    });
    $this->artisan('structures:index')->assertSuccessful();
    // The head is below that revision, which is nowhere in engineering.
    $used = $this->world->as('vera', 'GET', '/items/200-0010/where-used')->assertOk()->json('rows.*.item.number');
    expect($used)->toContain('200-0001', '110-0001');
});
