<?php

declare(strict_types=1);

use App\Files\FileContent;
use App\Tables\SheetReader;
use App\Tables\Table;
use App\Tables\TableFile;
use OpenSpout\Writer\Common\Creator\WriterEntityFactory;
use Orthotaxis\Core\Form\FormSheet;
use Orthotaxis\Core\Refusal;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->file = (string) tempnam(sys_get_temp_dir(), 'orthotaxis-limit-');
    $this->of = function (string $content): FileContent {
        file_put_contents($this->file, $content);

        return FileContent::of($this->file);
    };
    $this->svg = fn(
        string $inner,
    ): string => '<svg xmlns="http://www.w3.org/2000/svg" xmlns:x="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 9 9">' .
        $inner .
        '</svg>';
});

afterEach(fn() => @unlink($this->file));

it('takes a drawing of shapes, text, pictures it carries and notes of the program that drew it', function (string $inner): void {
    expect(($this->of)(($this->svg)($inner))->mediaType)->toBe('image/svg+xml');
})->with([
    'shapes and words' => [
        '<defs><linearGradient id="p"><stop/></linearGradient></defs><rect width="9" height="9" fill="url(#p)"/><text>onload=alert(1) is a word here</text>',
    ],
    'prefixed shapes' => ['<x:g><x:path d="M0 0L9 9"/></x:g>'],
    'a link within' => ['<a xlink:href="#part"><use xlink:href="#part"/></a>'],
    'a picture' => ['<image xlink:href="data:image/png;base64,iVBORw0KGgo="/>'],
    'a filter' => ['<filter id="f"><feGaussianBlur stdDeviation="2"/></filter>'],
    'notes' => [
        '<metadata><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#"><c:Work xmlns:c="http://notes.example/ns#"/></rdf:RDF></metadata>',
    ],
    'what its editor remembers' => ['<e:view xmlns:e="http://editor.example/dtd" e:zoom="2"/>'],
]);

it('refuses a drawing that does something, however that is written', function (string $inner): void {
    expect(fn() => ($this->of)(($this->svg)($inner)))->toThrow(Refusal::class, 'no drawing');
})->with([
    'an element' => ['<script>1</script>'],
    'a prefixed one' => ['<x:script>1</x:script>'],
    'one in capitals' => ['<SCRIPT>1</SCRIPT>'],
    'an act' => ['<rect onclick="x()"/>'],
    'a reference to a character' => ['<a xlink:href="java&#115;cript:alert(1)"/>'],
    'one broken by a tab' => ['<a xlink:href="java&#9;script:alert(1)"/>'],
    'by its number' => ['<a xlink:href="&#x6a;avascript:alert(1)"/>'],
    'animation' => ['<set attributeName="href" to="javascript:alert(1)"/>'],
    'animation of a shape' => ['<rect><animate attributeName="x"/></rect>'],
    'a page within' => ['<foreignObject><p xmlns="http://www.w3.org/1999/xhtml">x</p></foreignObject>'],
    'a page beside' => ['<h:iframe xmlns:h="http://www.w3.org/1999/xhtml" src="x"/>'],
    'events' => ['<l:listener xmlns:l="http://www.w3.org/2001/xml-events" handler="#x"/>'],
    'a page as a picture' => ['<image xlink:href="data:text/html,x"/>'],
    'a drawing as a picture' => ['<image xlink:href="data:image/svg+xml;base64,PHN2Zz4="/>'],
    'a file of the server' => ['<image xlink:href="file:///etc/passwd"/>'],
    'nothing of any namespace' => ['<b xmlns="">x</b>'],
]);

it('takes a PDF whatever its pictures look like, and refuses one that runs something, also by numbers in place of letters', function (
    string $objects,
    bool $taken,
): void {
    $pdf = "%PDF-1.4\n1 0 obj << {$objects} >> endobj\n2 0 obj << /Length 40 >> stream\n\x01/JavaScript /JS /Launch (of a picture)\nendstream endobj\nstartxref\n0\n%%EOF\n";
    $taken
        ? expect(($this->of)($pdf)->mediaType)->toBe('application/pdf')
        : expect(fn() => ($this->of)($pdf))->toThrow(Refusal::class, 'runs scripts');
})->with([
    ['/Pages 2 0 R', true],
    ['/OpenAction [3 0 R /Fit]', true],
    ['/JSON (of somebody)', true],
    ['/JavaScript 2 0 R', false],
    ['/J#61vaScript 2 0 R', false],
    ['/S /#4aS', false],
    ['/S/JS/JS(app.alert)', false],
    ['/S /Launch /F (x)', false],
    'packed among objects' => [
        fn(): string => '/X 1 >> endobj 9 0 obj << /Type /ObjStm /Filter /FlateDecode >> stream' .
            "\r\n" .
            gzcompress('1 0 << /S /JavaScript >>') .
            "\nendstream endobj 8 0 obj <<",
        false,
    ],
]);

it('refuses what cannot be shown whole', function (string $content, string $why): void {
    expect(fn() => ($this->of)($content))->toThrow(Refusal::class, $why);
})->with([
    'a picture cut off' => [
        fn(): string => substr(
            base64_decode('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=='),
            0,
            60,
        ),
        'breaks off',
    ],
    'entities' => ['<!DOCTYPE svg [<!ENTITY a "aaaa">]><svg xmlns="http://www.w3.org/2000/svg">&a;</svg>', 'entities of its own'],
    'another encoding' => ['<?xml version="1.0" encoding="UTF-7"?><svg xmlns="http://www.w3.org/2000/svg"/>', 'not in UTF-8'],
    'a nest' => ['<svg xmlns="http://www.w3.org/2000/svg">' . str_repeat('<g>', 150) . str_repeat('</g>', 150) . '</svg>', 'nested deeper'],
]);

it('reads a large drawing in little memory', function (): void {
    $large = ($this->svg)(str_repeat('<path d="M0 0L9 9"/>', 400_000));
    file_put_contents($this->file, $large);
    $size = strlen($large);
    unset($large);
    memory_reset_peak_usage();
    $before = memory_get_usage();
    expect(FileContent::of($this->file)->mediaType)
        ->toBe('image/svg+xml')
        ->and(memory_get_peak_usage() - $before)
        ->toBeLessThan(3 * $size + 20_000_000);
});

it('stops at a workbook that goes on and on, though there is nothing in it', function (): void {
    $writer = WriterEntityFactory::createXLSXWriter();
    $writer->openToFile($this->file);
    $writer->addRow(WriterEntityFactory::createRowFromArray(['parent', 'find', 'component', 'quantity', 'unit']));
    for ($i = 0; $i < 40_000; $i++) {
        $writer->addRow(WriterEntityFactory::createRowFromArray([' ', ' ']));
    }
    $writer->close();
    $read = fn(int $most): array => iterator_to_array(
        (new SheetReader($this->file, ['parent', 'find', 'component', 'quantity', 'unit'], ['parent'], $most))->rows(),
    );
    expect(fn() => $read(1_000))->toThrow(Refusal::class, 'At most 1,000 rows');
    file_put_contents($this->file, 'parent' . str_repeat(',x', 300) . "\n");
    expect(fn() => $read(1_000))->toThrow(Refusal::class, '200 columns');
    // And as somebody would send it.
    $world = new World($this);
    file_put_contents($this->file, "parent,find,component,quantity,unit\n" . str_repeat(",,,,\n", 30_000));
    $this->actingAs($world->people['vera'])
        ->post(
            '/api/comparison-files',
            ['file' => new Illuminate\Http\UploadedFile($this->file, 'empty.csv', test: true)],
            ['Accept' => 'application/json'],
        )
        ->assertStatus(422)
        ->assertJsonPath('errors.file.0', fn(string $told): bool => str_contains($told, 'At most 25,000 rows'));
});

it('leaves no file behind where none is sent', function (): void {
    $left = fn(): int => count(glob(sys_get_temp_dir() . '/orthotaxis-table-*') ?: []);
    $before = $left();
    expect(fn() => TableFile::answer(new Table('x', [], ['a'], []), 'exe', 'x'))->toThrow(Refusal::class);
    expect(fn() => TableFile::answer(new Table('x', [], ['a'], array_fill(0, 2_000, ['b'])), 'pdf', 'x'))->toThrow(Refusal::class);
    expect($left())->toBe($before);
});

it('leaves a form and a JSON that are nothing but nests before they fill the memory', function (): void {
    memory_reset_peak_usage();
    $before = memory_get_usage();
    expect(fn() => FormSheet::read('<w:document xmlns:w="x">' . str_repeat('<w:sdt/>', 500_000) . '</w:document>'))->toThrow(
        Refusal::class,
        'far more in it',
    );
    file_put_contents($this->file, '{"format": ' . str_repeat('[', 3_000_000));
    $read = fn(): array => iterator_to_array((new SheetReader($this->file, ['parent'], ['parent']))->rows());
    expect($read)
        ->toThrow(Refusal::class, 'This JSON is none of')
        ->and(memory_get_peak_usage() - $before)
        ->toBeLessThan(60_000_000);
});

it('says that a workbook is damaged, wherever it is', function (): void {
    $writer = WriterEntityFactory::createXLSXWriter();
    $writer->openToFile($this->file);
    for ($i = 0; $i < 200; $i++) {
        $writer->addRow(WriterEntityFactory::createRowFromArray(['parent', 'find', 'component', "quantity {$i}", 'unit']));
    }
    $writer->close();
    $whole = (string) file_get_contents($this->file);
    $random = new Random\Randomizer(new Random\Engine\Mt19937(7));
    $told = [];
    for ($try = 0; $try < 120; $try++) {
        $broken = $whole;
        for ($i = 0; $i < 4; $i++) {
            $broken[$random->getInt(0, strlen($broken) - 1)] = chr($random->getInt(0, 255));
        }
        file_put_contents($this->file, $broken);
        try {
            iterator_count((new SheetReader($this->file, ['parent'], ['parent']))->rows());
        } catch (Refusal $refusal) {
            $told[$refusal->getMessage()] = true;
        }
    }
    // Nothing else was thrown.
    expect($told)->toHaveKey('The spreadsheet is damaged.');
});

it('answers in words also where it quotes what is no text', function (): void {
    $world = new World($this);
    $bring = fn(string $content) => $this->actingAs($world->people['jonas'])->post(
        '/api/items/200-0010/files',
        ['role' => 'sheet', 'file' => Illuminate\Http\UploadedFile::fake()->createWithContent('x.svg', $content)],
        ['Accept' => 'application/json'],
    );
    $random = new Random\Randomizer(new Random\Engine\Mt19937(11));
    $whole = ($this->svg)('<g id="a"><path d="M0 0L9 9"/></g><text>words</text>');
    for ($try = 0; $try < 150; $try++) {
        $broken = $whole;
        for ($i = 0; $i < 3; $i++) {
            $broken[$random->getInt(0, strlen($broken) - 1)] = chr($random->getInt(128, 255));
        }
        expect($bring($broken)->getStatusCode())->toBeLessThan(500);
    }
});
