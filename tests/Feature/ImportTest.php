<?php

declare(strict_types=1);

use App\Imports\Models\Import;
use App\Structures\Models\Item;
use App\Tables\SheetReader;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use OpenSpout\Writer\Common\Creator\WriterEntityFactory;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->bring = fn(string $subject, string $content, string $by = 'mira', string $name = 'table.csv'): TestResponse => $this->actingAs(
        $this->world->people[$by],
    )->post(
        '/api/imports',
        ['subject' => $subject, 'file' => UploadedFile::fake()->createWithContent($name, $content)],
        ['Accept' => 'application/json'],
    );
    $this->last = fn(): Import => Import::query()->orderByDesc('asked_at')->orderByDesc('id')->firstOrFail();
});

const ITEMS = "number,title,kind,category,unit,standard_cost,revision\n300-1,Bracket,assembly,pump,pc,,\n300-2,\"Plate, \"\"thin\"\"\",part,pump,pc,1.25,A\n300-3,Rod,part,pump,m,,A\n";
const LINES = "parent,find,component,quantity,unit,notes,revision\n300-1,10,300-2,2,pc,\"left, right\",A\n300-1,20,300-3,250,mm,,\n";

it('takes over items and then their structures, released from the day given', function (): void {
    ($this->bring)('items', ITEMS)->assertOk();
    expect(($this->last)()->state)->toBe('done')->and(($this->last)()->outcome)->toBe('3 items, 2 of them released');
    ($this->bring)('structures', LINES)->assertOk();
    $import = ($this->last)();
    expect($import->faults)->toBe([])->and($import->state)->toBe('done')->and($import->outcome)->toBe('1 structures with 2 lines');
    $this->world
        ->as('vera', 'GET', '/items/300-1/structure')
        ->assertJsonPath('revision.code', 'A')
        ->assertJsonPath('rows.*.line.component', ['300-2', '300-3'])
        ->assertJsonPath('rows.0.line.notes', 'left, right')
        ->assertJsonPath('rows.0.item.title', 'Plate, "thin"');
    $this->world->as('vera', 'GET', '/items/300-3/where-used')->assertJsonPath('rows.0.quantity', '0.25');
    $this->artisan('ledger:verify')->assertSuccessful();
});

it('gives out what it takes in: CSV, XLSX and JSON of a structure read in again are the same', function (string $format): void {
    ($this->bring)('items', ITEMS)->assertOk();
    ($this->bring)('structures', LINES)->assertOk();
    $response = $this->world->as('vera', 'GET', "/items/300-1/structure/{$format}");
    $file = $format === 'json' ? $response->getContent() : $response->streamedContent();
    DB::table('items')
        ->where('number', '300-1')
        ->update(['number' => '300-OLD']);
    ($this->bring)('items', "number,title,kind,category,unit\n300-1,Bracket,assembly,pump,pc\n")->assertOk();
    ($this->bring)('structures', $file, name: "again.{$format}")->assertOk();
    expect(($this->last)()->faults)->toBe([])->and(($this->last)()->state)->toBe('done');
    $lines = fn(string $number): array => $this->world->as('vera', 'GET', "/items/{$number}/structure")->json('rows.*.line');
    expect($lines('300-1'))->toBe($lines('300-OLD'))->toHaveCount(2)->and($lines('300-1')[0]['revision'])->toBe('A');
})->with(['csv', 'xlsx', 'json']);

it('gives out all items as a table that can be taken over elsewhere', function (): void {
    ($this->bring)('items', ITEMS)->assertOk();
    $file = $this->world->as('vera', 'GET', '/catalogue/csv')->assertOk()->streamedContent();
    expect($file)->toContain('300-2,"Plate, ""thin""",part,pump,pc,make,1.25,,,,,,A');
    DB::table('items')->update(['number' => DB::raw("'OLD-' || number")]);
    ($this->bring)('items', $file)->assertOk();
    expect(($this->last)()->faults)
        ->toBe([])
        ->and(Item::query()->where('number', '300-2')->value('title'))
        ->toBe('Plate, "thin"');
});

it('names each bad cell with its row, column and reason, and saves nothing', function (
    string $subject,
    string $row,
    string $column,
    string $reason,
): void {
    ($this->bring)('items', ITEMS)->assertOk();
    $before = [DB::table('items')->count(), DB::table('revisions')->count(), DB::table('structure_lines')->count()];
    [$head] = explode("\n", $subject === 'items' ? ITEMS : "parent,find,component,quantity,unit,notes,line\n");
    $good = $subject === 'items' ? '300-9,Good,part,pump,pc,,' : '300-1,10,300-2,1,pc,,';
    ($this->bring)($subject, "{$head}\n{$good}\n{$row}\n")->assertOk();
    $import = ($this->last)();
    expect($import->state)
        ->toBe('refused')
        ->and($import->faults[0]['row'])
        ->toBe(3)
        ->and($import->faults[0]['column'])
        ->toBe($column)
        ->and($import->faults[0]['reason'])
        ->toContain($reason)
        ->and([DB::table('items')->count(), DB::table('revisions')->count(), DB::table('structure_lines')->count()])
        ->toBe($before);
})->with([
    ['items', '300-2,Again,part,pump,pc,,', 'number', 'already'],
    ['items', '300-9,Twice,part,pump,pc,,', 'number', 'row 2'],
    ['items', ',No number,part,pump,pc,,', 'number', 'empty'],
    ['items', '300-8,Odd,thing,pump,pc,,', 'kind', 'one of'],
    ['items', '300-8,Odd,part,none,pc,,', 'category', 'pump'],
    ['items', '300-8,Odd,part,pump,ell,,', 'unit', 'one of'],
    ['items', '300-8,Odd,part,pump,pc,dear,', 'standard_cost', 'number'],
    ['items', '300 8,Odd,part,pump,pc,,', 'number', 'letters, digits, points'],
    ['items', '..,Odd,part,pump,pc,,', 'number', 'letters, digits'],
    ['structures', '300-7,20,300-2,1,pc,,', 'parent', 'no item'],
    ['structures', '300-1,20,300-7,1,pc,,', 'component', 'no item'],
    ['structures', '300-1,20,300-2,0,pc,,', 'quantity', 'more than zero'],
    ['structures', '300-1,20,300-2,1.5,pc,,', 'quantity', 'whole'],
    ['structures', '300-1,20,300-2,1,kg,,', 'unit', 'does not measure'],
    ['structures', '300-1,10,300-3,1,m,,', 'find', 'row 2'],
    ['structures', '200-0010,20,300-2,1,pc,,', 'parent', 'under an order'],
    ['structures', '300-1,20,300-1,1,pc,,', 'component', '300-1 › 300-1'],
    ['structures', '300-1,20,300-2,1,pc,,not-a-uuid', 'line', 'UUID'],
    ['structures', '300-1,20,200-0099,1,pc,,', 'component', 'not released'],
]);

it('says the way round a loop', function (): void {
    ($this->bring)(
        'items',
        "number,title,kind,category,unit\nL-1,One,assembly,pump,pc\nL-2,Two,assembly,pump,pc\nL-3,Three,assembly,pump,pc\n",
    )->assertOk();
    ($this->bring)('structures', "parent,find,component,quantity,unit\nL-1,10,L-2,1,pc\nL-2,10,L-3,1,pc\nL-3,10,L-1,1,pc\n")->assertOk();
    expect(($this->last)()->faults[0]['reason'])->toContain('L-1 › L-2 › L-3 › L-1');
});

it('gives the refused file back with its bad cells marked', function (): void {
    ($this->bring)('items', "number,title,kind,category,unit\nX-1,Good,part,pump,pc\nX-2,Odd,thing,pump,pc\n")->assertOk();
    $marked = $this->world
        ->as('mira', 'GET', '/imports/' . ($this->last)()->id . '/marked')
        ->assertOk()
        ->content();
    $path = tempnam(sys_get_temp_dir(), 'marked');
    file_put_contents($path, $marked);
    $rows = iterator_to_array((new SheetReader($path, [...App\Imports\ItemImport::columns(), 'row', 'what_is_wrong'], ['number']))->rows());
    expect($rows[2]['what_is_wrong'])
        ->toBe('')
        ->and($rows[3]['what_is_wrong'])
        ->toContain('kind: Use one of')
        ->and((new ZipArchive())->open($path))
        ->toBeTrue();
    unlink($path);
});

it('refuses what is no table, by its content', function (string $content, string $said): void {
    ($this->bring)('items', $content)->assertOk();
    expect(($this->last)()->state)
        ->toBe('refused')
        ->and(($this->last)()->faults[0]['reason'])
        ->toContain($said);
})->with([
    ["number,title\nX,Y\n", 'missing: kind, category, unit'],
    ["number,title,kind,category,unit,colour\n", '“colour”'],
    ["number,number,title,kind,category,unit\n", 'twice'],
    ["number,title,kind,category,unit\n", 'no items'],
    ["PK\x03\x04 not a spreadsheet", 'neither'],
    ["number,title,kind,category,unit\nX,\xff\xfe,part,pump,pc\n", 'UTF-8'],
    ['{"format":"other"}', 'none of orthotaxis-structure'],
    ["\n", 'missing'],
]);

it('reads a spreadsheet with numbers, days and text as they are meant', function (): void {
    $path = tempnam(sys_get_temp_dir(), 'sheet');
    $writer = WriterEntityFactory::createXLSXWriter();
    $writer->openToFile($path);
    foreach (
        [['number', 'title', 'kind', 'category', 'unit', 'mass kg', 'lead time days'], [3001, '=SUM(1)', 'part', 'pump', 'pc', 0.125, 14]]
        as $row
    ) {
        $writer->addRow(
            new OpenSpout\Common\Entity\Row(
                array_map(App\Tables\TableFile::cell(...), array_map(fn($v) => is_float($v) ? (string) $v : $v, $row)),
                null,
            ),
        );
    }
    $writer->close();
    ($this->bring)('items', (string) file_get_contents($path), name: 'sheet.xlsx')->assertOk();
    $item = Item::query()->where('number', '3001')->firstOrFail();
    expect($item->title)->toBe('=SUM(1)')->and($item->mass)->toBe(125_000)->and($item->lead_time_days)->toBe(14);
});

it('lets nobody without the right bring or cancel a file, and asks for one', function (): void {
    ($this->bring)('items', ITEMS, 'vera')->assertForbidden();
    $this->world
        ->as('mira', 'POST', '/imports', ['subject' => 'items'])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['file']]);
    ($this->bring)('poems', ITEMS)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['subject']]);
});

it('can be cancelled before it is written, and not after', function (): void {
    Illuminate\Support\Facades\Queue::fake();
    $id = ($this->bring)('items', ITEMS)
        ->assertOk()
        ->json('number');
    $this->world->as('mira', 'GET', "/imports/{$id}")->assertJsonPath('state', 'waiting');
    $this->world
        ->as('mira', 'DELETE', "/imports/{$id}")
        ->assertOk()
        ->assertJsonPath('state', 'cancelled');
    app()->call([new App\Imports\Jobs\RunImport($id), 'handle']);
    expect(Import::query()->findOrFail($id)->state)
        ->toBe('cancelled')
        ->and(Item::query()->where('number', '300-1')->exists())
        ->toBeFalse();
    $this->world->as('mira', 'DELETE', "/imports/{$id}")->assertStatus(422);
});

it('tells an import whose worker was killed as broken off, and lets nothing of it be written later', function (): void {
    ($this->bring)('items', ITEMS)->assertOk();
    $import = ($this->last)();
    $lost = function (string $state, ?int $seconds) use ($import): string {
        $import->update(['state' => $state, 'seen_at' => $seconds === null ? null : now()->subSeconds($seconds), 'ended_at' => null]);
        $this->artisan('imports:end-lost')->assertSuccessful();

        return (string) Import::query()->where('id', $import->id)->value('state');
    };
    expect($lost('checking', 10))
        ->toBe('checking')
        ->and($lost('waiting', null))
        ->toBe('waiting')
        ->and($lost('checking', 90))
        ->toBe('failed')
        ->and($lost('writing', null))
        ->toBe('failed')
        ->and(Import::query()->where('id', $import->id)->value('outcome'))
        ->toContain('nothing of it was saved');
    // The process goes on although it was given up: what it writes does not stay.
    DB::listen(static function (Illuminate\Database\Events\QueryExecuted $query): void {
        if (str_starts_with($query->sql, 'INSERT INTO items')) {
            DB::table('imports')
                ->where('state', 'writing')
                ->update(['state' => 'failed']);
        }
    });
    ($this->bring)('items', str_replace('300-', '370-', ITEMS))->assertOk();
    expect(Item::query()->where('number', 'like', '370-%')->count())
        ->toBe(0)
        ->and(DB::table('ledger')->where('act', 'import.done')->count())
        ->toBe(1);
    $this->artisan('ledger:verify')->assertSuccessful();
});

it('takes over what a design model says of an item, beside its engineering structure', function (): void {
    $step =
        "ISO-10303-21;\nHEADER;\nFILE_SCHEMA(('AUTOMOTIVE_DESIGN'));\nENDSEC;\nDATA;\n#1=PRODUCT('200-0010','','',());\n#2=PRODUCT('200-0042','','',());\n" .
        "#3=PRODUCT_DEFINITION_FORMATION('','',#1);\n#4=PRODUCT_DEFINITION_FORMATION('','',#2);\n#5=PRODUCT_DEFINITION('','',#3,#9);\n#6=PRODUCT_DEFINITION('','',#4,#9);\n" .
        "#7=NEXT_ASSEMBLY_USAGE_OCCURRENCE('','','',#5,#6,'C1');\n#8=NEXT_ASSEMBLY_USAGE_OCCURRENCE('','','',#5,#6,'C2');\nENDSEC;\nEND-ISO-10303-21;\n";
    ($this->bring)('design', $step, name: 'head.stp')->assertOk();
    expect(($this->last)()->faults)->toBe([])->and(($this->last)()->outcome)->toBe('1 structures with 1 lines');
    $this->world
        ->as('vera', 'GET', '/items/200-0010/structure?kind=design')
        ->assertJsonPath('rows.*.line.component', ['200-0042'])
        ->assertJsonPath('rows.0.line.quantity', '2')
        ->assertJsonPath('rows.0.line.designators', 'C1, C2');
    // Engineering against design: what the model does not have is removed.
    $this->world->as('vera', 'GET', '/comparison?left=200-0010&right=200-0010&right_kind=design')->assertJsonPath('totals.removed', 2);
    $lines = fn(string $kind): int => DB::table('structure_lines')
        ->whereIn('content_id', DB::table('contents')->where('kind', $kind)->pluck('id'))
        ->count();
    expect([$lines('engineering'), $lines('design')])->toBe([4, 1]);

    ($this->bring)('design', $step, name: 'head.stp')->assertOk();
    expect(($this->last)()->faults[0]['reason'])->toContain('already');
    expect(
        fn() => DB::transaction(
            fn() => DB::statement(
                "UPDATE structure_lines SET quantity = 9 WHERE content_id IN (SELECT id FROM contents WHERE kind = 'design')",
            ),
        ),
    )->toThrow(Illuminate\Database\QueryException::class, 'never changes');
});

it('refuses a file with letters that nobody sees, and says where they are', function (): void {
    ($this->bring)('items', "number,title,kind,category,unit\n300-1,Good,part,pump,pc\n300\u{200B}-8,Odd,part,pump,pc\n")->assertOk();
    expect(($this->last)()->state)
        ->toBe('refused')
        ->and(($this->last)()->faults[0]['reason'])
        ->toBe('Row 3, number: There are invisible characters in it. Write it again.')
        ->and(Item::query()->where('number', '300-1')->exists())
        ->toBeFalse();
});

it('takes a file of any name that a file can have', function (): void {
    $name = str_repeat('very long ', 15) . 'name.csv';
    ($this->bring)('items', ITEMS, name: $name)->assertOk();
    expect(($this->last)()->state)->toBe('done');
    $act = DB::table('ledger')->where('act', 'import.done')->latest('number')->first();
    expect(mb_strlen($act->subject))->toBeLessThanOrEqual(80)->and($act->details)->toContain($name);
});

it('says that a file of STEP is not in the letters it has to be in', function (): void {
    $step =
        "ISO-10303-21;\nHEADER;\nFILE_SCHEMA(('CONFIG_CONTROL_DESIGN'));\nENDSEC;\nDATA;\n#1=PRODUCT('300-1\xE9','Br\xFCcke','',(#9));\nENDSEC;\nEND-ISO-10303-21;\n";
    ($this->bring)('design', $step, name: 'model.stp')->assertOk();
    expect(($this->last)()->state)
        ->toBe('refused')
        ->and(($this->last)()->faults[0]['reason'])
        ->not->toBe('');
});
