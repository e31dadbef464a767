<?php

declare(strict_types=1);

use App\Files\StoredFile;
use App\Imports\ItemImport;
use App\Imports\Models\Import;
use App\Tables\JsonLists;
use App\Tables\SheetReader;
use Illuminate\Http\UploadedFile;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\StepFile\ProductStructure;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->file = (string) tempnam(sys_get_temp_dir(), 'orthotaxis-large-');
    /** What some work takes at most beyond what is held now. */
    $this->taken = function (Closure $work): int {
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $work();

        return memory_get_peak_usage() - $before;
    };
    $this->read = fn(): array => iterator_to_array(
        (new SheetReader($this->file, ['number', 'parent', 'parent_revision', 'find', 'component'], []))->rows(),
    );
    $world = new World($this);
    $this->bring = function (string $subject, string $content) use ($world): Import {
        $this->actingAs($world->people['mira'])
            ->post('/api/imports', ['subject' => $subject, 'file' => UploadedFile::fake()->createWithContent('t.csv', $content)])
            ->assertOk();

        return Import::query()->orderByDesc('asked_at')->orderByDesc('id')->firstOrFail();
    };
});

afterEach(fn() => @unlink($this->file));

it('reads JSON one line at a time, in little more than its text', function (): void {
    $lines = implode(',', array_map(static fn(int $find): string => "{\"find\":{$find},\"component\":\"200-0042\"}", range(1, 100_000)));
    file_put_contents($this->file, '{"format":"orthotaxis-structure","version":1,"structures":[{"parent":"A","lines":[' . $lines . ']}]}');
    unset($lines);
    $count = 0;
    $taken = ($this->taken)(function () use (&$count): void {
        foreach ((new SheetReader($this->file, ['parent', 'find', 'component'], []))->rows() as $row) {
            $count++;
        }
    });
    expect($count)->toBe(100_000)->and($taken)->toBeLessThan(25_000_000);
});

it('takes a JSON object apart as if all of it were decoded', function (): void {
    $whole = [
        'format' => 'orthotaxis-items',
        'note' => 'brackets [ { " } ] and \\ in a text',
        'items' => [['number' => 'a"]', 'more' => ['x' => [1, 2]]], ['number' => 'b\\'], []],
        'none' => [],
        'single' => ['items' => 1],
    ];
    $lists = JsonLists::of((string) json_encode($whole, JSON_PRETTY_PRINT), 8);
    expect($lists?->head)
        ->toEqual(['items' => [0, 0, 0]] + $whole)
        ->and(iterator_to_array($lists->decoded('items')))
        ->toBe($whole['items'])
        ->and(iterator_to_array($lists->decoded('none')))
        ->toBe([])
        ->and(iterator_to_array($lists->decoded('absent')))
        ->toBe([]);
    foreach (['{"items":[{}{}]}', '{"items":[{},]}', '{"items":[{"a":1}]', '[', '{"a":"', '{"a":[[[[[[[[[1]]]]]]]]]}', '}]'] as $broken) {
        expect(JsonLists::of($broken, 8))->toBeNull();
    }
});

it('refuses a list of what are no objects, and an object that is none', function (string $items): void {
    file_put_contents($this->file, "{\"format\":\"orthotaxis-items\",\"version\":1,\"items\":{$items}}");
    expect($this->read)->toThrow(Refusal::class, 'not the object it should be');
})->with(['[1,2]', '[{"number":"a"},7]', '[{"number":}]', '{"a":{"number":"a"}}']);

it('reads a model of a hundred thousand occurrences in a fraction of what they would take as arrays', function (): void {
    $model = function (): Generator {
        yield "ISO-10303-21;HEADER;FILE_SCHEMA(('CONFIG_CONTROL_DESIGN'));ENDSEC;DATA;";
        for ($product = 1; $product <= 100; $product++) {
            $id = 3 * $product;
            yield "#{$id}=PRODUCT('P{$product}','','',());#" . ($id + 1) . "=PRODUCT_DEFINITION_FORMATION('','',#{$id});";
            yield '#' . ($id + 2) . "=PRODUCT_DEFINITION('','',#" . ($id + 1) . ',#2);';
        }
        for ($at = 0; $at < 100_000; $at++) {
            $component = 3 * (($at % 99) + 2) + 2;
            yield '#' . (1000 + $at) . "=NEXT_ASSEMBLY_USAGE_OCCURRENCE('{$at}','','',#5,#{$component},'R{$at}');";
        }
        yield 'ENDSEC;END-ISO-10303-21;';
    };
    $structure = null;
    $taken = ($this->taken)(function () use ($model, &$structure): void {
        $structure = ProductStructure::read($model());
    });
    expect($taken)->toBeLessThan(25_000_000)->and(array_sum(array_column(iterator_to_array($structure->uses())['P1'], 0)))->toBe(100_000);
});

it('tells what rows say twice in the order of the file, counts all of it, and keeps the first', function (): void {
    $items = "number,title,kind,category,unit,revision\n350-1,Bracket,assembly,pump,pc,\n350-2,Rod,part,pump,pc,A\n";
    expect(($this->bring)('items', $items)->state)->toBe('done');
    $rows = implode('', array_map(static fn(int $at): string => "350-1,10,350-2,1,pc\n", range(1, 1_200)));
    $import = ($this->bring)('structures', "parent,find,component,quantity,unit\n350-1,20,350-9,x,pc\n{$rows}");
    expect($import->state)
        ->toBe('refused')
        ->and($import->fault_count)
        ->toBe(1_200)
        ->and(count($import->faults))
        ->toBe(1_000)
        ->and(array_column($import->faults, 'row'))
        ->toBe([2, ...range(4, 1_002)])
        ->and($import->faults[1]['reason'])
        ->toBe('Find number 10 of 350-1 stands in row 3 already.');
    $again = ($this->bring)(
        'items',
        "number,title,kind,category,unit\n350-2,Rod,part,pump,pc\n350-7,Rod,part,pump,pc\n350-7,Rod,x,pump,pc\n",
    );
    expect(array_map(static fn(array $fault): string => "{$fault['row']} {$fault['reason']}", $again->faults))
        ->toContain('2 There is an item 350-2 already.')
        ->toContain('4 350-7 stands in row 3 already.')
        ->toHaveCount(3);
});

it('marks a cell that is longer than a spreadsheet can hold', function (): void {
    $import = ($this->bring)('items', "number,title,kind,category,unit\n360-1," . str_repeat('long ', 8_000) . ",part,pump,pc\n");
    expect($import->state)->toBe('refused')->and($import->faults[0]['reason'])->toBe('At most 200 characters.');
    StoredFile::with((string) $import->marked_id, function (string $path): void {
        $rows = iterator_to_array((new SheetReader($path, [...ItemImport::columns(), 'row', 'what_is_wrong'], [], 10))->rows());
        expect($rows[2]['title'] ?? '')->toContain('39999 characters, more than a cell holds');
    });
});

it('keeps a file of many pieces as it is', function (): void {
    file_put_contents($this->file, random_bytes(4_000_000) . str_repeat('x', 4_000_000) . 'end');
    $sum = hash_file('sha256', $this->file);
    expect(StoredFile::with(StoredFile::keep($this->file), static fn(string $path): string => (string) hash_file('sha256', $path)))->toBe(
        $sum,
    );
});
