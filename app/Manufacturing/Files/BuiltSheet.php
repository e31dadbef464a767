<?php

declare(strict_types=1);

namespace App\Manufacturing\Files;

use App\Tables\SheetReader;
use App\Tables\Table;
use Illuminate\Support\Str;
use Orthotaxis\Core\Manufacturing\BuildColumn;
use Orthotaxis\Core\Manufacturing\BuildReader;
use Orthotaxis\Core\Manufacturing\BuildRows;
use Orthotaxis\Core\Manufacturing\ManufacturingContent;
use Orthotaxis\Core\Refusal;

/** What a plant builds of an item under an order as a sheet: taken away, edited in a spreadsheet, and read back. */
final readonly class BuiltSheet
{
    private const MOST = 5_000;

    public static function of(string $item, string $plant, ManufacturingContent $after): Table
    {
        return new Table(
            "{$item} {$plant}",
            [],
            array_column(BuildColumn::cases(), 'value'),
            array_map(array_values(...), BuildRows::of($plant, $item, $after)),
        );
    }

    /**
     * @param  ManufacturingContent  $now  as it is: what the sheet has no column for stays
     *
     * @throws Refusal naming each bad cell by its row and column
     */
    public static function read(string $path, string $item, string $plant, ManufacturingContent $now): ManufacturingContent
    {
        $sheet = new SheetReader($path, array_column(BuildColumn::cases(), 'value'), BuildColumn::needed(), 2 * self::MOST);
        $rows = $reasons = [];
        foreach ($sheet->rows() as $number => $row) {
            $rows[$number] = $row;
            if (count($rows) > self::MOST) {
                throw Refusal::at('file', 'At most ' . self::MOST . ' rows of one item are read from a sheet.');
            }
            foreach (['parent' => $item, 'plant' => $plant] as $column => $wanted) {
                if ($row[$column] !== $wanted) {
                    $reasons["row {$number}, {$column}"] = "Row {$number}, {$column}: this sheet is read for {$item} at {$plant} alone.";
                }
            }
        }
        if ($rows === []) {
            throw Refusal::at('file', 'The sheet has no rows. What is to go altogether is removed on the page.');
        }
        $read = new BuildReader($rows, static fn(string $key): string => Str::isUuid($key) ? $key : (string) Str::uuid7(), $now);
        foreach ($read->faults() as $number => $faults) {
            foreach ($faults as $column => $reason) {
                $reasons["row {$number}, {$column}"] = "Row {$number}, {$column}: {$reason}";
            }
        }

        return $reasons === [] ? $read->content() : throw Refusal::because($reasons);
    }
}
