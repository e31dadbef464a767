<?php

declare(strict_types=1);

namespace App\Tables;

use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\StepFile\ProductStructure;

/** The product structure of an ISO 10303-21 file, as if it stood in a table of structure lines. */
final readonly class StepFileRows
{
    private const PIECE = 1_000_000;

    /** @param  bool  $titles  whether what products are called is told as well */
    public function __construct(private string $path, private bool $titles = false) {}

    /**
     * @return \Generator<int, list<string>>
     *
     * @throws Refusal
     */
    public function rows(): \Generator
    {
        $structure = ProductStructure::read($this->pieces());
        $number = 1;
        yield $number++ => [
            'parent',
            'find',
            'component',
            'quantity',
            'unit',
            'designators',
            ...$this->titles ? ['parent_title', 'title'] : [],
        ];
        foreach ($structure->uses() as $parent => $components) {
            $find = 0;
            foreach ($components as $component => [$count, $designators]) {
                // Designators are told when every occurrence has one of its own.
                $names = count(array_unique($designators)) === $count ? implode(', ', $designators) : '';
                yield $number++ => [
                    (string) $parent,
                    (string) ($find += 10),
                    (string) $component,
                    (string) $count,
                    'pc',
                    $names,
                    ...$this->titles ? [$structure->name((string) $parent), $structure->name((string) $component)] : [],
                ];
            }
        }
    }

    /** @return \Generator<int, string> */
    private function pieces(): \Generator
    {
        $file = fopen($this->path, 'rb');
        if ($file === false) {
            throw Refusal::at('file', 'The file cannot be read.');
        }
        while (!feof($file)) {
            yield (string) fread($file, self::PIECE);
        }
        fclose($file);
    }
}
