<?php

declare(strict_types=1);

namespace App\Tables;

use OpenSpout\Writer\Common\Creator\WriterEntityFactory;
use OpenSpout\Writer\XLSX\Writer;

/**
 * Cells of a workbook that say one of a few: what they may say stands in a second sheet, and is offered in every cell (data validation of
 * ISO/IEC 29500-1, 18.3.1.33). Another value may be written all the same: whoever reads the file back says at its cell what it cannot be.
 */
final readonly class OfferedLists
{
    private const SHEET = 'lists';

    /** Rows for which they are offered in a column: also for those that somebody adds below. */
    private const ROWS = 10_000;

    /** Writes the second sheet; the first is written already. */
    public static function write(Writer $writer, Table $table): void
    {
        $writer->addNewSheetAndMakeItCurrent()->setName(self::SHEET);
        $writer->addRow(WriterEntityFactory::createRowFromArray(array_keys($table->lists)));
        for ($at = 0; $at < max([0, ...array_values(array_map(count(...), $table->lists))]); $at++) {
            $writer->addRow(
                WriterEntityFactory::createRowFromArray(
                    array_map(static fn(array $list): string => $list[$at] ?? '', array_values($table->lists)),
                ),
            );
        }
    }

    /** Offers them in the first sheet of the workbook, once it is closed. */
    public static function offer(string $path, Table $table): void
    {
        $rules = '';
        // Above the heads stand a row for each name and an empty one.
        $first = $table->head === [] ? 2 : count($table->head) + 3;
        foreach (array_keys($table->lists) as $place => $head) {
            $above = array_search($head, array_keys($table->head), true);
            $column = self::letters((int) array_search($head, $table->heads, true));
            $cells = $above === false ? "{$column}{$first}:{$column}" . ($first + self::ROWS - 2) : 'B' . ($above + 1);
            $of = self::letters($place);
            $last = count($table->lists[$head]) + 1;
            $rules .=
                '<dataValidation type="list" errorStyle="warning" allowBlank="1" showErrorMessage="1" sqref="' .
                $cells .
                '"><formula1>' .
                self::SHEET .
                "!\${$of}\$2:\${$of}\${$last}</formula1></dataValidation>";
        }
        $zip = new \ZipArchive();
        $zip->open($path) === true || throw new \RuntimeException("Cannot open {$path}.");
        $sheet = (string) $zip->getFromName('xl/worksheets/sheet1.xml');
        $count = count($table->lists);
        $zip->addFromString(
            'xl/worksheets/sheet1.xml',
            str_replace('</sheetData>', "</sheetData><dataValidations count=\"{$count}\">{$rules}</dataValidations>", $sheet),
        );
        $zip->close();
    }

    /** The name of a column: 0 is A, 26 is AA. */
    private static function letters(int $place): string
    {
        return ($place > 25 ? self::letters(intdiv($place, 26) - 1) : '') . chr(65 + ($place % 26));
    }
}
