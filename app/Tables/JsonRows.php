<?php

declare(strict_types=1);

namespace App\Tables;

use Orthotaxis\Core\Refusal;

/** The rows of a JSON file in one of our formats (docs/formats.md), as if they stood in a table: the first row names the columns. */
final readonly class JsonRows
{
    private const FORMATS = [
        'orthotaxis-structure',
        'orthotaxis-items',
        'orthotaxis-manufacturing',
        'orthotaxis-order-lines',
        'orthotaxis-new-order',
    ];

    private const LARGEST = 20_000_000;

    /** What is written goes six deep; what goes deeper is something else, and is left before it fills the memory. */
    private const DEEPEST = 8;

    /**
     * @param  list<string>  $columns
     * @param  bool  $headed  whether what its member "head" says stands above the table
     */
    public function __construct(private string $path, private array $columns, private bool $headed = false) {}

    /**
     * @return \Generator<int, list<string>>
     *
     * @throws Refusal
     */
    public function rows(): \Generator
    {
        if (filesize($this->path) > self::LARGEST) {
            throw Refusal::at('file', 'A JSON file has at most 20 megabytes. Use CSV or XLSX for larger ones.');
        }
        $content = JsonLists::of((string) file_get_contents($this->path), self::DEEPEST);
        if ($content === null || !in_array($content->head['format'] ?? '', self::FORMATS, true) || ($content->head['version'] ?? 0) !== 1) {
            throw Refusal::at('file', 'This JSON is none of ' . implode(', ', self::FORMATS) . ' of version 1.');
        }
        $number = 1;
        foreach ($this->headed && is_array($content->head['head'] ?? null) ? $content->head['head'] : [] as $name => $value) {
            yield $number++ => [(string) $name, is_scalar($value) ? (string) $value : ''];
        }
        yield $number++ => $this->columns;
        foreach (self::records($content) as $record) {
            yield $number++ => array_map(
                static fn(string $column): string => is_scalar($record[$column] ?? '') ? (string) ($record[$column] ?? '') : '',
                $this->columns,
            );
        }
    }

    /** @return \Generator<int, array<array-key, mixed>> one after another, as a file of 20 MB is decoded to 200 */
    private static function records(JsonLists $content): \Generator
    {
        foreach (['items', 'rows'] as $list) {
            foreach ($content->decoded($list) as $row) {
                yield $row ?? throw self::damaged();
            }
        }
        foreach ($content->texts('structures') as $text) {
            $structure = $text === null ? null : JsonLists::of($text, self::DEEPEST);
            $of = $structure->head ?? throw self::damaged();
            foreach ($structure->decoded('lines') as $line) {
                yield ['parent' => $of['parent'] ?? '', 'parent_revision' => $of['revision'] ?? ''] + ($line ?? throw self::damaged());
            }
        }
    }

    private static function damaged(): Refusal
    {
        return Refusal::at('file', 'Something in a list of this JSON is not the object it should be.');
    }
}
