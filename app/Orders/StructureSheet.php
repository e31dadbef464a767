<?php

declare(strict_types=1);

namespace App\Orders;

use App\Structures\Export\StructureTable;
use App\Tables\SheetReader;
use App\Tables\Table;
use Illuminate\Support\Str;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\FileColumn;
use Orthotaxis\Core\Structure\LineReader;
use Orthotaxis\Core\Structure\Structure;

/** The structure of one item under an order as a sheet: taken away, edited in a spreadsheet, and read back. */
final readonly class StructureSheet
{
    private const MOST = 5_000;

    public static function of(string $item, Structure $after): Table
    {
        $rows = [];
        foreach ($after as $line) {
            $rows[] = array_map(
                static fn(FileColumn $column): string => StructureTable::value($item, null, $line, $column),
                FileColumn::ofOneParent(),
            );
        }

        return new Table($item, [], array_column(FileColumn::ofOneParent(), 'value'), $rows);
    }

    /**
     * @param  Structure  $now  the lines as they are: a line keeps what the sheet has no column for
     *
     * @throws Refusal naming each bad cell by its row and column
     */
    public static function read(string $path, string $item, Structure $now): Structure
    {
        $lines = $reasons = [];
        $reader = new LineReader();
        foreach (
            (new SheetReader(
                $path,
                array_column(FileColumn::ofOneParent(), 'value'),
                array_column(FileColumn::needed(), 'value'),
                self::MOST + 5_000,
            ))->rows()
            as $number => $row
        ) {
            if (count($lines) > self::MOST) {
                throw Refusal::at('file', 'At most ' . self::MOST . ' lines of one item are read from a sheet.');
            }
            if ($row['parent'] !== $item) {
                $reasons["row {$number}, parent"] = "Row {$number}, parent: this sheet is read for {$item} alone.";
            }
            $fields = FileColumn::fieldsOf($row);
            $key = Str::isUuid($row['line'] ?? '') ? $row['line'] : (string) Str::uuid7();
            if (isset($lines[$key])) {
                $reasons[
                    "row {$number}, line"
                ] = "Row {$number}, line: this line stands in the sheet already. Leave the cell of a copied row empty.";
            }
            try {
                $lines[$key] = $reader->read($key, $fields, $now->line($key));
            } catch (Refusal $refusal) {
                foreach ($refusal->reasons as $field => $reason) {
                    $reasons["row {$number}, {$field}"] = "Row {$number}, {$field}: {$reason}";
                }
            }
        }

        if ($lines === [] && $reasons === []) {
            throw Refusal::at('file', 'The sheet has no rows. What is to go altogether is removed on the page.');
        }

        return $reasons === [] ? new Structure($lines) : throw Refusal::because($reasons);
    }
}
