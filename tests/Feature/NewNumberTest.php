<?php

declare(strict_types=1);

use App\Structures\Models\Category;
use App\Structures\Models\Item;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->order = $this->world->opened();
    $this->give = fn(array $other = [], string $item = '200-0010', string $by = 'mira'): TestResponse => $this->world->only(
        $by,
        'POST',
        "/orders/{$this->order}/items/{$item}/new-number",
        $other + [
            'title' => 'Pump head, quiet',
            'interchangeable' => false,
            'lines' => true,
            'data' => true,
            'documents' => [],
            'version' => $this->world->version($this->order),
        ],
    );
    $this->successions = fn(): array => $this->world
        ->as('vera', 'GET', "/orders/{$this->order}/new-numbers")
        ->assertOk()
        ->json();
});

it('copies an item with its lines to the next number of its category, which succeeds it', function (): void {
    ($this->give)()->assertOk();
    [$row] = ($this->successions)();
    $new = $row['successor'];
    expect($row)
        ->toMatchArray(['item' => '200-0010', 'successor_title' => 'Pump head, quiet', 'interchangeable' => false, 'order' => $this->order])
        ->and($new)
        ->toBe('000001');
    $redline = $this->world->as('jonas', 'GET', "/orders/{$this->order}/items/{$new}/redline")->assertOk();
    expect(array_column(array_column($redline->json('rows'), 'after'), 'component'))
        ->toBe(['200-0040', '200-0042', '600-0014'])
        ->and(array_unique(array_column($redline->json('rows'), 'mark')))
        ->toBe(['added'])
        ->and($redline->json('base'))
        ->toBeNull();
    // What is known of it goes along; both numbers are told at each other.
    $page = $this->world->as('vera', 'GET', "/items/{$new}")->assertOk();
    expect($page->json('item.standard_cost'))->toBe('262.00');
    foreach ([$new, '200-0010'] as $number) {
        $this->world
            ->as('vera', 'GET', "/items/{$number}")
            ->assertJsonPath('successions.0.item', '200-0010')
            ->assertJsonPath('successions.0.successor', $new);
    }
    // Its lines are one act, undone as one by whoever edits.
    $this->world->as('jonas', 'POST', "/orders/{$this->order}/items/{$new}/works/engineering/undo")->assertOk();
    expect($this->world->as('jonas', 'GET', "/orders/{$this->order}/items/{$new}/redline")->json('rows'))->toBe([]);
    $this->artisan('ledger:verify')->assertSuccessful();
});

it('copies a drawing to a number of its own, with its sheet as a draft, and lets a document describe both', function (): void {
    foreach (['800-0010', '800-0011'] as $number) {
        $this->world->items[$number] = Item::query()->create([
            'number' => $number,
            'title' => 'Drawing of the head',
            'kind' => 'drawing',
            'category_id' => Category::query()->value('id'),
            'unit' => 'pc',
            'supply' => 'make',
        ])->id;
        DB::table('item_documents')->insert(['item_id' => $this->world->items['200-0010'], 'document_id' => $this->world->items[$number]]);
    }
    $sheet = UploadedFile::fake()->createWithContent(
        'sheet.svg',
        '<svg xmlns="http://www.w3.org/2000/svg"><rect width="3" height="3"/></svg>',
    );
    $this->world->sends('mira', '/items/800-0010/files', ['role' => 'sheet', 'file' => $sheet])->assertOk();
    $revision = DB::table('revisions')->insertGetId(['item_id' => $this->world->items['800-0010'], 'code' => 'A', 'status' => 'in_work']);
    DB::table('item_files')->update(['revision_id' => $revision]);
    foreach (['in_review', 'released'] as $status) {
        DB::table('revisions')
            ->where('id', $revision)
            ->update(['status' => $status] + ($status === 'released' ? ['effective_from' => World::day(-9), 'released_at' => now()] : []));
    }
    ($this->give)(['documents' => [['number' => '800-0010', 'copied' => true], ['number' => '800-0011', 'copied' => false]]])->assertOk();
    expect(array_column(($this->successions)(), 'item'))->toBe(['200-0010', '800-0010']);
    [$head, $drawing] = array_column(($this->successions)(), 'successor');
    $documents = $this->world->as('vera', 'GET', "/items/{$head}/documents")->assertOk();
    expect(json_encode($documents->json()))->toContain($drawing)->toContain('800-0011')->not->toContain('800-0010');
    $files = $this->world->as('vera', 'GET', "/items/{$drawing}/documents")->json('files');
    expect($files)->toHaveCount(1)->and($files[0]['revision'])->toBeNull()->and($files[0]['name'])->toBe('sheet.svg');
    // Both numbers are on the order, to be released with it.
    $items = $this->world->as('mira', 'GET', "/dossiers/{$this->order}")->json('order.items');
    expect(array_column(array_column($items, 'item'), 'number'))->toContain($head, $drawing);
});

it('takes neither lines nor data along where that is not wanted', function (): void {
    ($this->give)(['lines' => false, 'data' => false, 'interchangeable' => true])->assertOk();
    [$row] = ($this->successions)();
    expect($row['interchangeable'])->toBeTrue();
    expect($this->world->as('jonas', 'GET', "/orders/{$this->order}/items/{$row['successor']}/redline")->json('rows'))->toBe([]);
    expect($this->world->as('vera', 'GET', "/items/{$row['successor']}")->json('item.standard_cost'))->toBeNull();
});

it('is released with the order, and replaces the old one where a replacement says so', function (): void {
    World::planningTakes();
    ($this->give)()->assertOk();
    $new = ($this->successions)()[0]['successor'];
    $rows = $this->world
        ->as('mira', 'GET', "/orders/{$this->order}/replacement?old=200-0010&new={$new}")
        ->assertOk()
        ->json('rows');
    expect(array_column(array_column($rows, 'item'), 'number'))->toBe(['200-0001']);
    $this->world
        ->only('mira', 'POST', "/orders/{$this->order}/replacement", [
            'old' => '200-0010',
            'new' => $new,
            'from' => '',
            'lines' => [['item' => '200-0001', 'work' => 'engineering', 'line' => $rows[0]['before']['key']]],
        ])
        ->assertOk();
    $this->world
        ->only('mira', 'PUT', "/orders/{$this->order}/items/200-0001", [
            'outcome' => 'revise',
            'disposition' => 'use_up',
            'version' => $this->world->version($this->order),
        ])
        ->assertOk();
    $this->world->edit($this->order, 'change', 20, ['quantity' => '4'])->assertOk();
    $this->world->released($this->order);
    $tree = $this->world->as('vera', 'GET', '/items/200-0001/structure?on=' . World::day(31));
    expect($tree->json('rows.0.line.component'))->toBe($new)->and($tree->json('rows.0.revision'))->toBe('A');
});

it('is taken back as long as the order is not judged; the number stays one in work', function (): void {
    ($this->give)()->assertOk();
    $new = ($this->successions)()[0]['successor'];
    $back = fn(string $number, string $by = 'mira'): TestResponse => $this->world->only(
        $by,
        'DELETE',
        "/orders/{$this->order}/new-numbers/{$number}",
        ['version' => $this->world->version($this->order)],
    );
    $back($new, 'jonas')->assertForbidden();
    $back('200-0040')->assertStatus(422);
    $back($new)->assertOk();
    expect(($this->successions)())->toBe([]);
    $this->world->as('jonas', 'GET', "/orders/{$this->order}/items/{$new}/redline")->assertStatus(404);
    $this->world
        ->as('vera', 'GET', "/items/{$new}")
        ->assertOk()
        ->assertJsonPath('item.status', 'in_work');
    $this->world->edit($this->order, 'change', 20, ['quantity' => '4'])->assertOk();
    $this->world->as('jonas', 'POST', "/orders/{$this->order}/review", ['version' => $this->world->version($this->order)])->assertOk();
    ($this->give)()->assertStatus(422)->assertJsonPath('errors.order.0', 'The order is locked: it is in review or released.');
});

it('refuses what cannot be, at its place, and makes no number', function (array $other, string $item, string $place): void {
    $items = DB::table('items')->count();
    ($this->give)($other, $item)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => [$place]]);
    expect(DB::table('items')->count())->toBe($items);
})->with([
    'no title' => [['title' => ' '], '200-0010', 'title'],
    'nobody said whether it interchanges' => [['interchangeable' => null], '200-0010', 'interchangeable'],
    'an item that is not on the order' => [[], '200-0042', 'item'],
    'a document of something else' => [['documents' => [['number' => '200-0040', 'copied' => true]]], '200-0010', 'documents'],
]);

it('is given by who plans the order, who saw it as it is', function (): void {
    ($this->give)(by: 'jonas')->assertForbidden();
    ($this->give)(['version' => 1])->assertStatus(409);
});
