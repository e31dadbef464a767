<?php

declare(strict_types=1);

use App\Days\Today;
use App\Structures\Commands\IndexStructures;
use App\Structures\Export\PartsList;
use App\Structures\Index\IndexFolder;
use App\Structures\Index\KeptAnswer;
use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use App\Structures\StructureView;
use App\Tables\PrintedTable;
use App\Tables\Table;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Orthotaxis\Core\Adjacency\Explosion;
use Orthotaxis\Core\Adjacency\WhereUsed;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\StructureKind;
use Tests\Core\Support\Web;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    config(['orthotaxis.index.folder' => sys_get_temp_dir() . '/orthotaxis-index-' . bin2hex(random_bytes(4))]);
    $this->world = new World($this);
});

afterEach(fn() => File::deleteDirectory(config()->string('orthotaxis.index.folder')));

/** Releases the replacement of the tube from a day on. */
function releaseTube(World $world): string
{
    World::planningTakes();
    $order = $world->signed();
    $world->as('mira', 'POST', "/orders/{$order}/release", ['version' => $world->version($order)])->assertOk();

    return $order;
}

it('opens a structure to any level, with what goes into the top over each path', function (): void {
    $this->world
        ->as('vera', 'GET', '/items/200-0001/structure?levels=2&times=3')
        ->assertOk()
        ->assertJsonPath('rows.*.level', [1, 2, 2, 2])
        ->assertJsonPath('rows.*.line.component', ['200-0010', '200-0040', '200-0042', '600-0014'])
        ->assertJsonPath('rows.*.extended', ['3', '1.5', '6', '18'])
        ->assertJsonPath('rows.*.opens', [true, false, false, false])
        ->assertJsonPath('rows.0.times', '3');
    $this->world->as('vera', 'GET', '/items/200-0001/structure')->assertJsonCount(1, 'rows');
    $this->world->as('vera', 'GET', '/items/200-0001/structure?levels=99')->assertStatus(422);
    $this->world
        ->as('vera', 'GET', '/items/200-0001/structure?times=much')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['times']]);
});

it('sums up all that is in an item, and names what is missing from its sums', function (): void {
    DB::table('items')
        ->where('number', '600-0014')
        ->update(['standard_cost' => null, 'mass' => 1_500_000, 'lead_time_days' => 9]);
    DB::table('items')
        ->where('number', '200-0010')
        ->update(['lead_time_days' => 5]);
    $summary = $this->world
        ->as('vera', 'GET', '/items/200-0001/summary')
        ->assertOk()
        ->assertJsonPath('total', 4)
        ->assertJsonPath('missing_cost', 1)
        ->assertJsonPath('without_cost', ['600-0014'])
        ->assertJsonPath('mass', '9')
        ->assertJsonPath('lead_time_days', 14)
        ->assertJsonPath('longest_chain', ['200-0001', '200-0010', '600-0014']);
    // Half a metre of tube at 9.80 and two clamps at 0.68.
    expect($summary->json('cost'))
        ->toBe('6.26')
        ->and(collect($summary->json('rows'))->pluck('quantity', 'item.number')->all())
        ->toBe(['200-0010' => '1', '200-0040' => '0.5', '200-0042' => '2', '600-0014' => '6']);
});

it('tells where something is used, all of it or the end products only', function (): void {
    $this->world
        ->as('vera', 'GET', '/items/200-0040/where-used')
        ->assertOk()
        ->assertJsonPath('total', 2)
        ->assertJsonPath('tops', 1)
        ->assertJsonPath('rows.*.item.number', ['200-0010', '200-0001'])
        ->assertJsonPath('rows.*.quantity', ['0.5', '0.5'])
        ->assertJsonPath('rows.1.through', ['200-0010']);
    $this->world->as('vera', 'GET', '/items/200-0040/where-used?only=tops')->assertJsonPath('rows.*.item.number', ['200-0001']);
    $this->world->as('vera', 'GET', '/items/200-0099/where-used')->assertJsonPath('total', 0)->assertJsonPath('rows', []);
});

it('gives the same answers with an index and without, and what is released a moment later is in the next one', function (): void {
    $ask = fn(string $on): array => [
        $this->world->as('vera', 'GET', "/items/200-0001/summary?on={$on}")->json('rows.*.item.number'),
        $this->world->as('vera', 'GET', "/items/200-0040/where-used?on={$on}")->json('rows.*.item.number'),
        $this->world->as('vera', 'GET', "/items/200-0041/where-used?on={$on}")->json('rows.*.item.number'),
    ];
    $today = World::day(0);
    $without = $ask($today);
    $this->artisan(IndexStructures::class)->assertSuccessful();
    expect((new IndexFolder(new StructureView()))->current())
        ->not->toBeNull()
        // Everything is in the files now; the notes of before do not have to be read again.
        ->and($ask($today))
        ->toBe($without);
    DB::table('structure_touches')->delete();
    expect($ask($today))->toBe($without);

    releaseTube($this->world);
    $later = World::day(30);
    expect($ask($today))
        ->toBe($without)
        ->and($ask($later)[1])
        ->toBe([])
        ->and($ask($later)[2])
        ->toBe(['200-0010', '200-0001'])
        ->and($ask($later)[0])
        ->toContain('200-0041')
        ->not->toContain('200-0040');
    $fresh = $ask($later);
    $this->artisan(IndexStructures::class)->assertSuccessful();
    expect($ask($later))->toBe($fresh);
});

it('builds anew only where it has fallen behind', function (): void {
    $this->artisan(IndexStructures::class)->assertSuccessful();
    $folder = new IndexFolder(new StructureView());
    $first = $folder->current();
    $this->artisan(IndexStructures::class, ['--when-behind' => true])->assertSuccessful();
    expect($folder->current())->toBe($first);
    DB::statement(
        'INSERT INTO items (number, title, kind, category_id, unit) SELECT \'N-\' || n, \'Filler\', \'part\', (SELECT min(id) FROM categories), \'pc\' FROM generate_series(1, 301) n',
    );
    DB::statement("INSERT INTO structure_touches (item_id) SELECT id FROM items WHERE number LIKE 'N-%'");
    $this->artisan(IndexStructures::class, ['--when-behind' => true])->assertSuccessful();
    expect($folder->current())->not->toBe($first);
});

it('goes on with the last version until the new one is compiled, after an answer', function (): void {
    config(['orthotaxis.index.warmed' => true]);
    $this->artisan(IndexStructures::class)->assertSuccessful();
    $folder = new IndexFolder(new StructureView());
    $first = $folder->current();
    // There was none before: nothing to go on with.
    expect($first)->not->toBeNull()->and($folder->offered())->toBeNull();
    $this->artisan(IndexStructures::class)->assertSuccessful();
    $next = $folder->offered();
    expect($folder->current())->toBe($first)->and($next)->not->toBeNull()->not->toBe($first);
    // What waits already is not written again.
    $this->artisan(IndexStructures::class, ['--when-behind' => true])->assertSuccessful();
    expect($folder->offered())->toBe($next);

    $during = null;
    app()->terminating(function () use ($folder, &$during): void {
        $during = $folder->current();
    });
    $this->world->as('vera', 'GET', '/items/200-0040/where-used')->assertOk()->assertJsonPath('rows.0.item.number', '200-0010');
    expect($during)->toBe($first)->and($folder->current())->toBe($next)->and($folder->offered())->toBeNull();
});

it('leaves a version alone that somebody is writing', function (): void {
    $this->artisan(IndexStructures::class)->assertSuccessful();
    $folder = new IndexFolder(new StructureView());
    $begun = $folder->begin();
    $this->artisan(IndexStructures::class)->assertSuccessful();
    $this->artisan(IndexStructures::class)->assertSuccessful();
    expect(is_dir($begun))->toBeTrue();
    touch($begun, time() - 7_200);
    $this->artisan(IndexStructures::class)->assertSuccessful();
    expect(is_dir($begun))->toBeFalse();
});

it('answers from the database when a file of the index is damaged, and writes the index anew', function (
    string $file,
    string $content,
): void {
    $this->artisan(IndexStructures::class)->assertSuccessful();
    $ask = fn(): array => $this->world->as('vera', 'GET', '/items/200-0040/where-used')->assertOk()->json('rows.*.item.number');
    $right = $ask();
    // An answer that was kept would hide it.
    DB::statement("INSERT INTO structure_touches (item_id) SELECT id FROM items WHERE number = '200-0099'");
    $folder = new IndexFolder(new StructureView());
    $damaged = $folder->current();
    foreach (glob("{$damaged}/{$file}") ?: [] as $path) {
        file_put_contents($path, $content);
    }
    expect($ask())->toBe($right)->and($folder->current())->toBeNull();
    $this->artisan(IndexStructures::class, ['--when-behind' => true])->assertSuccessful();
    expect($folder->current())->not->toBeNull()->not->toBe($damaged)->and($ask())->toBe($right);
})->with([
    'cut off' => ['up-*.php', '<?php return [1,2'],
    'empty' => ['up-*.php', ''],
    'no list' => ['positions-*.php', '<?php return 7;'],
    'a manifest that is cut' => ['manifest-*.php', '<?php return ['],
]);

it('never takes the lists of one database for those of another', function (): void {
    $this->artisan(IndexStructures::class)->assertSuccessful();
    $here = (new IndexFolder(new StructureView()))->current();
    config(['database.connections.pgsql.database' => 'another']);
    expect($here)->not->toBeNull()->and((new IndexFolder(new StructureView()))->current())->toBeNull();
});

it('keeps design, engineering and manufacturing apart', function (): void {
    $item = $this->world->items['200-0010'];
    $index = StructureIndex::open(new StructureView(StructureKind::Manufacturing));
    expect(Explosion::of($index->adjacency, $index->positions->of($item), 30_000)->totals())->toBe([]);
    $this->world
        ->as('vera', 'GET', '/items/200-0010/structure?kind=sketch')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['kind']]);
});

it('compares two items, two days, a revision, and what an order makes of an item', function (): void {
    $order = $this->world->inReview();
    $compare = fn(string $query) => $this->world->as('vera', 'GET', "/comparison?{$query}");
    $compare("left=200-0010&right=200-0010&right_order={$order}")
        ->assertOk()
        ->assertJsonPath('totals.replaced', 1)
        ->assertJsonPath('totals.unchanged', 2)
        ->assertJsonPath('rows.0.before.component', '200-0040')
        ->assertJsonPath('rows.0.after.component', '200-0041')
        ->assertJsonPath('rows.0.fields', ['component']);
    $compare('left=200-0001&right=200-0010')
        ->assertOk()
        ->assertJsonPath('count', 3)
        ->assertJsonPath('totals.replaced', 1)
        ->assertJsonPath('totals.added', 2);
    $compare('left=200-0010&right=200-0010')->assertOk()->assertJsonPath('count', 0)->assertJsonPath('rows', []);

    $this->world
        ->as('helen', 'POST', "/orders/{$order}/signature", [
            'password' => 'secret',
            'digest' => $this->world->as('helen', 'GET', "/orders/{$order}/review")->json('order.digest'),
        ])
        ->assertOk();
    World::planningTakes();
    $this->world->as('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])->assertOk();
    $later = World::day(31);
    // On two days, from the module down: one line of the head below it.
    $compare("left=200-0001&right=200-0001&right_on={$later}")
        ->assertOk()
        ->assertJsonPath('count', 1)
        ->assertJsonPath('rows.0.parent_after', '200-0010')
        ->assertJsonPath('rows.0.way', ['200-0001']);
    $compare("left=200-0001&right=200-0001&right_on={$later}&levels=one")->assertJsonPath('count', 0);
    $compare('left=200-0010&right=200-0010&left_revision=A&right_revision=B')->assertJsonPath('totals.replaced', 1);
    $compare("left=200-0001&right=200-0001&right_on={$later}&kinds=added")
        ->assertJsonPath('count', 0)
        ->assertJsonPath('totals.replaced', 1);
});

it('says which side of a comparison cannot be had, and why', function (string $query, string $place): void {
    $this->world
        ->as('vera', 'GET', "/comparison?{$query}")
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => [$place]]);
})->with([
    ['left=200-0010', 'right'],
    ['left=no&right=200-0010', 'left'],
    ['left=200-0010&right=200-0010&right_on=soon', 'right_on'],
    ['left=200-0010&right=200-0010&left_revision=Z', 'left_revision'],
    ['left=200-0010&right=200-0010&right_order=ECO-9', 'right_order'],
    ['left=200-0010&right=200-0010&left_kind=sketch', 'left_kind'],
    ['left=200-0010&right=200-0010&kinds=odd', 'kinds'],
]);

it('gives a comparison as CSV, XLSX and PDF with old and new value and position', function (): void {
    $order = $this->world->inReview();
    $query = "left=200-0010&right=200-0010&right_order={$order}";
    $csv = $this->world
        ->as('vera', 'GET', "/comparison/csv?{$query}")
        ->assertOk()
        ->streamedContent();
    expect($csv)
        ->toContain("Difference,Position,Parent,Find,Component,Title,Field,Before,After\r\n")
        ->toContain('Component,200-0040,200-0041');
    expect(
        $this->world
            ->as('vera', 'GET', "/comparison/xlsx?{$query}")
            ->assertOk()
            ->streamedContent(),
    )->toStartWith("PK\x03\x04");
    expect(
        $this->world
            ->as('vera', 'GET', "/comparison/pdf?{$query}")
            ->assertOk()
            ->streamedContent(),
    )->toStartWith('%PDF-');
    $this->world->as('vera', 'GET', "/comparison/exe?{$query}")->assertStatus(422);
});

it(
    'prints a structure as a parts list: level, find, number, title, revision in force, quantity at the right with its unit',
    function (): void {
        $item = Item::query()->where('number', '200-0001')->firstOrFail();
        $list = app(PartsList::class);
        $all = $list->of($item, new StructureView(), Today::day(), true);
        expect($all->title)
            ->toBe("200-0001 {$item->title}")
            ->and($all->notes[0])
            ->toStartWith('Revision A, in force · Engineering parts list, all levels · as of ' . now()->format('j M Y'))
            ->and($all->heads)
            ->toBe(['Level', 'Find', 'Number', 'Title', 'Rev.', 'Qty', 'Unit', 'Reference designators', 'Notes'])
            ->and(array_column($all->rows, 0))
            ->toBe([1, 2, 2, 2])
            ->and(array_column($all->rows, 2))
            ->toBe(['200-0010', '· 200-0040', '· 200-0042', '· 600-0014']);
        $html = PrintedTable::html($all);
        expect($html)->toContain('<th class="right">Qty</th>')->toContain('<td class="right">0.5</td><td>m</td>');
        expect(array_column($list->of($item, new StructureView(), Today::day(), false)->rows, 0))->toBe([1]);
        expect($this->world->as('vera', 'GET', '/items/200-0001/structure/pdf')->assertOk()->streamedContent())->toStartWith('%PDF-');
    },
);

it('says when a table is too long to print', function (): void {
    PrintedTable::html(new Table('Long', [], ['A'], array_fill(0, PrintedTable::MOST_ROWS + 1, ['x'])));
})->throws(Refusal::class, 'too many to print');

it('lets two tables be printed at a time, and says so to whoever comes then', function (): void {
    $locks = array_map(static fn(int $place) => Cache::lock("a table is printed {$place}", 60), [1, 2]);
    array_walk($locks, static fn($lock) => $lock->get());
    $this->world
        ->as('vera', 'GET', '/items/200-0001/structure/pdf')
        ->assertStatus(422)
        ->assertJsonPath('errors.format.0', fn(string $told): bool => str_contains($told, 'Others are printing'));
    $locks[0]->release();
    $this->world->as('vera', 'GET', '/items/200-0001/structure/pdf')->assertOk();
});

it('changes the days of a line under an order, and says when they make no sense', function (): void {
    $order = $this->world->opened();
    $this->world
        ->edit($order, 'change', 20, ['first_day' => World::day(40), 'last_day' => World::day(39)])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['last_day']]);
    $this->world
        ->edit($order, 'change', 20, ['first_day' => 'soon'])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['first_day']]);
    $this->world->edit($order, 'change', 20, ['last_day' => World::day(60)])->assertOk();
    $row = collect($this->world->as('jonas', 'GET', "/orders/{$order}/items/200-0010/redline")->json('rows'))->firstWhere('after.find', 20);
    expect($row['mark'])
        ->toBe('changed')
        ->and($row['fields'])
        ->toBe(['last_day'])
        ->and($row['after']['last_day'])
        ->toBe(World::day(60));
});

it('compares a file with what we have, through all the levels that it tells of', function (): void {
    $bring = fn(string $content, string $name = 'theirs.csv') => $this->actingAs($this->world->people['vera'])->post(
        '/api/comparison-files',
        ['file' => UploadedFile::fake()->createWithContent($name, $content)],
        ['Accept' => 'application/json'],
    );
    $id = $bring(
        "parent,find,component,quantity,unit\n200-0001,10,200-0010,1,pc\n200-0010,10,200-0040,0.7,m\n200-0010,20,200-0042,2,pc\n200-0010,40,NOT-OURS,1,pc\n",
    )
        ->assertOk()
        ->assertJsonPath('parents', ['200-0001', '200-0010'])
        ->json('id');
    $this->world
        ->as('helen', 'GET', "/comparison?left=200-0001&right=200-0001&right_file={$id}")
        ->assertOk()
        ->assertJsonPath('totals.unchanged', 2)
        ->assertJsonPath('totals.changed', 1)
        ->assertJsonPath('totals.removed', 1)
        ->assertJsonPath('totals.added', 1)
        ->assertJsonPath('right.file', 'theirs.csv')
        ->assertJsonPath('rows.*.parent_after', ['200-0010', '200-0010', '200-0010']);
    // The other way round it says the opposite.
    $this->world
        ->as('helen', 'GET', "/comparison?right=200-0001&left=200-0001&left_file={$id}")
        ->assertJsonPath('totals.removed', 1)
        ->assertJsonPath('totals.added', 1);
    $this->world
        ->as('helen', 'GET', "/comparison?left=200-0001&right=200-0040&right_file={$id}")
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['right_file']]);
    $this->world
        ->as('helen', 'GET', '/comparison?left=200-0001&right=200-0001&right_file=nothing')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['right_file']]);
    $bring("parent,find,component,quantity,unit\n200-0001,ten,200-0010,1,pc\n")
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['file']]);
    // What we give out, read in again, differs in nothing.
    $own = $this->world->as('vera', 'GET', '/items/200-0001/structure/csv')->streamedContent();
    $this->world
        ->as('vera', 'GET', "/comparison?left=200-0001&right=200-0001&right_file={$bring($own)->json('id')}")
        ->assertJsonPath('count', 0)
        ->assertJsonPath('totals.unchanged', 4);
});

it('lays open orders over a structure: what it would be on a day if they were released', function (): void {
    $order = $this->world->inReview();
    $day = World::day(30);
    $rows = fn(string $query) => $this->world->as('vera', 'GET', "/items/200-0001/structure?levels=2&{$query}")->assertOk();
    $rows("on={$day}&orders=open")
        ->assertJsonPath('rows.*.line.component', ['200-0010', '200-0041', '200-0042', '600-0014'])
        ->assertJsonPath('rows.*.mark', [null, 'replaced', null, null])
        ->assertJsonPath('rows.1.order', $order);
    // Before its date, and without being asked for, nothing of it is seen.
    $rows('on=' . World::day(29) . '&orders=open')
        ->assertJsonPath('rows.1.line.component', '200-0040')
        ->assertJsonPath('rows.*.mark', [null, null, null, null]);
    $rows("on={$day}")->assertJsonPath('rows.1.line.component', '200-0040');
    $rows("on={$day}&orders=open&levels=1")->assertJsonCount(1, 'rows');
    $this->world->as('vera', 'GET', '/items/200-0001/structure?orders=all')->assertStatus(422);
});

it('says that a quantity becomes too large, in place of a wrong one', function (): void {
    DB::statement('ALTER TABLE structure_lines DISABLE TRIGGER USER');
    DB::table('structure_lines')->update(['quantity' => 4_000_000_000_000_000_000]);
    DB::statement('ALTER TABLE structure_lines ENABLE TRIGGER USER');
    foreach (['structure?levels=3', 'summary'] as $page) {
        expect(
            $this->world
                ->as('vera', 'GET', "/items/200-0001/{$page}")
                ->assertStatus(422)
                ->json('message'),
        )->toContain('too large');
    }
});

it('names the way round when something contains itself', function (): void {
    DB::statement('ALTER TABLE structure_lines DISABLE TRIGGER USER');
    DB::table('structure_lines')
        ->where('component_id', $this->world->items['600-0014'])
        ->update(['component_id' => $this->world->items['200-0001']]);
    DB::statement('ALTER TABLE structure_lines ENABLE TRIGGER USER');
    expect($this->world->as('vera', 'GET', '/items/200-0040/where-used')->assertStatus(422)->json('message'))->toContain(' › 200-0001');
});

it('compares engineering with manufacturing by what both know: not by operations', function (): void {
    // The same lines at one operation, and twice as many screws.
    $this->world->built(
        '200-0010',
        'Weir',
        DB::table('structure_lines')
            ->join('items', 'items.id', '=', 'structure_lines.component_id')
            ->where('content_id', DB::table('revisions')->where('item_id', $this->world->items['200-0010'])->value('id'))
            ->get(['find', 'number', 'quantity', 'structure_lines.unit', 'line_key'])
            ->map(
                static fn(stdClass $line): array => [
                    $line->find,
                    $line->number,
                    (($line->find === 30 ? 2 : 1) * $line->quantity) / 1_000_000,
                    $line->unit,
                    20,
                    $line->line_key,
                ],
            )
            ->all(),
    );
    $this->world
        ->as('vera', 'GET', '/comparison?left=200-0010&right=200-0010&right_kind=manufacturing')
        ->assertOk()
        ->assertJsonPath('totals.unchanged', 2)
        ->assertJsonPath('totals.changed', 1)
        ->assertJsonPath('rows.0.fields', ['quantity']);
});

it('tells which open orders would begin or cease to use an item', function (): void {
    $order = $this->world->opened();
    $this->world->edit($order, 'replace', 10, ['component' => '200-0041'])->assertOk();
    $this->world->edit($order, 'remove', 20)->assertOk();
    $told = fn(string $item): array => collect(
        $this->world
            ->as('vera', 'GET', "/items/{$item}/planned-uses")
            ->assertOk()
            ->json(),
    )
        ->map(fn(array $row): string => "{$row['order']} {$row['what']} {$row['item']['number']}")
        ->all();
    expect($told('200-0041'))
        ->toBe(["{$order} adds 200-0010"])
        ->and($told('200-0040'))
        ->toBe(["{$order} ends 200-0010"])
        ->and($told('200-0042'))
        ->toBe(["{$order} ends 200-0010"])
        ->and($told('600-0014'))
        ->toBe([]);
    $this->world->as('jonas', 'POST', "/orders/{$order}/items/200-0010/works/engineering/undo")->assertOk();
    expect($told('200-0042'))->toBe([]);
});

it('reads an answer that was kept to its end, though another worker begins anew meanwhile', function (): void {
    $path = tempnam(sys_get_temp_dir(), 'used') . '.bin';
    $adjacency = Web::of([[1, 2, 2], [2, 3, '1.5'], [4, 3, 1]]);
    KeptAnswer::keep($path, WhereUsed::of($adjacency, 3, 100), $adjacency->size);
    $kept = KeptAnswer::open($path) ?? throw new RuntimeException('It was not kept.');
    unlink($path);
    expect($kept->total)
        ->toBe(3)
        ->and($kept->tops)
        ->toBe(2)
        ->and(array_map(static fn(array $at): string => "{$at[0]} {$at[1]}", $kept->page(false, 0, 10)))
        ->toBe([2 => '1 1.5', 4 => '1 1', 1 => '2 3'])
        ->and(array_keys($kept->page(true, 1, 10)))
        ->toBe([1])
        ->and($kept->level(3))
        ->toBe(0)
        ->and(KeptAnswer::open($path))
        ->toBeNull();
});
