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
    $this->svg = fn (string $inner): string => '<svg xmlns="http://www.w3.org/2000/svg" xmlns:x="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 9 9">'.$inner.'</svg>';
});

afterEach(fn () => @unlink($this->file));

it('says that a drawing carries scripts, however they are written', function (string $inner, bool $carries): void {
    expect(($this->of)(($this->svg)($inner))->carriesScript)->toBe($carries);
})->with([
    'none' => ['<rect width="9" height="9"/><text>onload=alert(1) javascript: in words</text>', false], 'an element' => ['<script>1</script>', true], 'a prefixed one' => ['<x:script>1</x:script>', true],
    'an act' => ['<rect onclick="x()"/>', true], 'a reference to a character' => ['<a xlink:href="java&#115;cript:alert(1)"/>', true], 'one broken by a tab' => ['<a xlink:href="java&#9;script:alert(1)"/>', true],
    'one that comes by animation' => ['<set attributeName="href" to="javascript:alert(1)"/>', true], 'a page within' => ['<foreignObject><p xmlns="http://www.w3.org/1999/xhtml">x</p></foreignObject>', true], 'a link' => ['<a xlink:href="#part"/>', false],
]);

it('says that a PDF carries scripts, also by numbers in place of letters', function (string $name, bool $carries): void {
    expect(($this->of)("%PDF-1.4\n1 0 obj << {$name} 2 0 R >> endobj\nstartxref\n0\n%%EOF\n")->carriesScript)->toBe($carries);
})->with([['/Pages', false], ['/JavaScript', true], ['/J#61vaScript', true], ['/#4aS', true]]);

it('refuses what cannot be shown whole', function (string $content, string $why): void {
    expect(fn () => ($this->of)($content))->toThrow(Refusal::class, $why);
})->with([
    'a picture cut off' => [fn (): string => substr(base64_decode('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=='), 0, 60), 'breaks off'],
    'entities' => ['<!DOCTYPE svg [<!ENTITY a "aaaa">]><svg xmlns="http://www.w3.org/2000/svg">&a;</svg>', 'entities of its own'],
    'another encoding' => ['<?xml version="1.0" encoding="UTF-7"?><svg xmlns="http://www.w3.org/2000/svg"/>', 'not in UTF-8'],
    'a nest' => ['<svg xmlns="http://www.w3.org/2000/svg">'.str_repeat('<g>', 150).str_repeat('</g>', 150).'</svg>', 'nested deeper'],
]);

it('reads a large drawing in little memory', function (): void {
    $large = ($this->svg)(str_repeat('<path d="M0 0L9 9"/>', 400_000));
    file_put_contents($this->file, $large);
    $size = strlen($large);
    unset($large);
    memory_reset_peak_usage();
    $before = memory_get_usage();
    expect(FileContent::of($this->file)->mediaType)->toBe('image/svg+xml')->and(memory_get_peak_usage() - $before)->toBeLessThan(3 * $size + 20_000_000);
});

it('stops at a workbook that goes on and on, though there is nothing in it', function (): void {
    $writer = WriterEntityFactory::createXLSXWriter();
    $writer->openToFile($this->file);
    $writer->addRow(WriterEntityFactory::createRowFromArray(['parent', 'find', 'component', 'quantity', 'unit']));
    for ($i = 0; $i < 40_000; $i++) {
        $writer->addRow(WriterEntityFactory::createRowFromArray([' ', ' ']));
    }
    $writer->close();
    $read = fn (int $most): array => iterator_to_array((new SheetReader($this->file, ['parent', 'find', 'component', 'quantity', 'unit'], ['parent'], $most))->rows());
    expect(fn () => $read(1_000))->toThrow(Refusal::class, 'At most 1,000 rows');
    file_put_contents($this->file, 'parent'.str_repeat(',x', 300)."\n");
    expect(fn () => $read(1_000))->toThrow(Refusal::class, '200 columns');
    // And as somebody would send it.
    $world = new World($this);
    file_put_contents($this->file, "parent,find,component,quantity,unit\n".str_repeat(",,,,\n", 30_000));
    $this->actingAs($world->people['vera'])->post('/api/comparison-files', ['file' => new Illuminate\Http\UploadedFile($this->file, 'empty.csv', test: true)], ['Accept' => 'application/json'])
        ->assertStatus(422)->assertJsonPath('errors.file.0', fn (string $told): bool => str_contains($told, 'At most 25,000 rows'));
});

it('leaves no file behind where none is sent', function (): void {
    $left = fn (): int => count(glob(sys_get_temp_dir().'/orthotaxis-table-*') ?: []);
    $before = $left();
    expect(fn () => TableFile::answer(new Table('x', [], ['a'], []), 'exe', 'x'))->toThrow(Refusal::class);
    expect(fn () => TableFile::answer(new Table('x', [], ['a'], array_fill(0, 2_000, ['b'])), 'pdf', 'x'))->toThrow(Refusal::class);
    expect($left())->toBe($before);
});

it('leaves a form and a JSON that are nothing but nests before they fill the memory', function (): void {
    memory_reset_peak_usage();
    $before = memory_get_usage();
    expect(fn () => FormSheet::read('<w:document xmlns:w="x">'.str_repeat('<w:sdt/>', 500_000).'</w:document>'))->toThrow(Refusal::class, 'far more in it');
    file_put_contents($this->file, '{"format": '.str_repeat('[', 3_000_000));
    $read = fn (): array => iterator_to_array((new SheetReader($this->file, ['parent'], ['parent']))->rows());
    expect($read)->toThrow(Refusal::class, 'This JSON is neither')->and(memory_get_peak_usage() - $before)->toBeLessThan(60_000_000);
});
