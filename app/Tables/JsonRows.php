<?php

declare(strict_types=1);

namespace App\Tables;

use Orthotaxis\Core\Refusal;

/** The rows of a JSON file in one of our formats (docs/formats.md), as if they stood in a table: the first row names the columns. */
final readonly class JsonRows
{
    private const LARGEST = 20_000_000;

    /** What is written goes six deep; what goes deeper is something else, and is left before it fills the memory. */
    private const DEEPEST = 8;

    /** @param  list<string>  $columns */
    public function __construct(private string $path, private array $columns) {}

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
        $content = json_decode((string) file_get_contents($this->path), true, self::DEEPEST);
        if (
            !is_array($content) ||
            !in_array($content['format'] ?? '', ['orthotaxis-structure', 'orthotaxis-items'], true) ||
            ($content['version'] ?? 0) !== 1
        ) {
            throw Refusal::at('file', 'This JSON is neither orthotaxis-structure nor orthotaxis-items of version 1.');
        }
        $number = 1;
        yield $number++ => $this->columns;
        foreach (self::records($content) as $record) {
            yield $number++ => array_map(
                static fn(string $column): string => is_scalar($record[$column] ?? '') ? (string) ($record[$column] ?? '') : '',
                $this->columns,
            );
        }
    }

    /**
     * @param  array<array-key, mixed>  $content
     * @return \Generator<int, array<array-key, mixed>>
     */
    private static function records(array $content): \Generator
    {
        foreach ((array) ($content['items'] ?? []) as $item) {
            yield (array) $item;
        }
        foreach ((array) ($content['structures'] ?? []) as $structure) {
            $structure = (array) $structure;
            foreach ((array) ($structure['lines'] ?? []) as $line) {
                yield ['parent' => $structure['parent'] ?? '', 'parent_revision' => $structure['revision'] ?? ''] + (array) $line;
            }
        }
    }
}
