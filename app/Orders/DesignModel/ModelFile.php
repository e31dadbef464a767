<?php

declare(strict_types=1);

namespace App\Orders\DesignModel;

use App\Tables\SheetReader;
use Orthotaxis\Core\Refusal;

/** What a file of a design model says: a STEP file, or a table of assemblies and their components. */
final readonly class ModelFile
{
    /** So many uses of components are read. */
    private const MOST = 50_000;

    /**
     * @param  array<array-key, array<array-key, int>>  $assemblies  pieces, by assembly and component, as the file calls them
     * @param  array<array-key, array<array-key, string>>  $designators  likewise, where each piece has its own
     * @param  array<array-key, string>  $titles  by what the file calls it
     */
    private function __construct(public array $assemblies, public array $designators, public array $titles) {}

    /** @throws Refusal naming each bad cell by its row and column */
    public static function read(string $path): self
    {
        $assemblies = $designators = $titles = $reasons = [];
        $columns = ['parent', 'parent_title', 'find', 'component', 'title', 'quantity', 'unit', 'designators'];
        foreach ((new SheetReader($path, $columns, ['parent', 'component', 'quantity'], self::MOST))->rows() as $number => $row) {
            foreach (['parent', 'component'] as $column) {
                if ($row[$column] === '') {
                    $reasons["row {$number}, {$column}"] = "Row {$number}, {$column}: this cannot be empty.";
                }
            }
            $pieces = preg_match('/^[1-9]\d{0,8}$/D', $row['quantity']) === 1 ? (int) $row['quantity'] : 0;
            if ($pieces === 0 || !in_array($row['unit'] ?? '', ['', 'pc'], true)) {
                $reasons["row {$number}, quantity"] = "Row {$number}, quantity: a model has whole pieces.";
            }
            $assemblies[$row['parent']][$row['component']] = ($assemblies[$row['parent']][$row['component']] ?? 0) + $pieces;
            if (($row['designators'] ?? '') !== '') {
                $designators[$row['parent']][$row['component']] = $row['designators'];
            }
            $titles[$row['parent']] ??= $row['parent_title'] ?? '';
            $titles[$row['component']] = $titles[$row['component']] ?? '' ?: $row['title'] ?? '';
        }

        return match (true) {
            $reasons !== [] => throw Refusal::because($reasons),
            $assemblies === [] => throw Refusal::at('file', 'The file has no assembly: nothing in it is used in anything.'),
            default => new self($assemblies, $designators, $titles),
        };
    }

    /** @return list<string> all that it names, assemblies first */
    public function names(): array
    {
        return array_map(strval(...), array_keys($this->titles));
    }
}
