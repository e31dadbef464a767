<?php

declare(strict_types=1);

namespace App\Tables;

use OpenSpout\Common\Entity\Cell;
use OpenSpout\Common\Entity\Row;
use OpenSpout\Common\Entity\Style\Color;
use OpenSpout\Writer\Common\Creator\Style\StyleBuilder;
use OpenSpout\Writer\Common\Creator\WriterEntityFactory;

/** A file that somebody brought and that was refused, as XLSX: each bad cell marked, and its reason at the end of its row. */
final readonly class MarkedTable
{
    /**
     * @param  list<string>  $columns
     * @param  iterable<int, array<string, string>>  $rows  by number, as SheetReader gives them
     * @param  array<int, array<string, string>>  $reasons  by row and column
     * @param  array<string, HeadCell>  $head  what stands above the table, by name
     * @return string where the marked one is
     */
    public static function write(array $columns, iterable $rows, array $reasons, array $head = []): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'orthotaxis-marked-');
        $writer = WriterEntityFactory::createXLSXWriter();
        $writer->openToFile($path);
        $bad = (new StyleBuilder())->setBackgroundColor(Color::rgb(255, 199, 190))->setFontBold()->build();
        foreach ($head as $name => $cell) {
            $said = TableFile::cell($cell->text);
            $reason = $reasons[$cell->row][$name] ?? '';
            $reason === '' || $said->setStyle($bad);
            $writer->addRow(new Row([TableFile::cell($name), $said, TableFile::cell($reason)], null));
        }
        $head === [] || $writer->addRow(WriterEntityFactory::createRowFromArray(['']));
        $writer->addRow(
            WriterEntityFactory::createRowFromArray([...$columns, 'row', 'what is wrong'], (new StyleBuilder())->setFontBold()->build()),
        );
        foreach ($rows as $number => $row) {
            $cells = array_map(static function (string $column) use ($row, $reasons, $number, $bad): Cell {
                $cell = TableFile::cell($row[$column] ?? '');
                if (isset($reasons[$number][$column])) {
                    $cell->setStyle($bad);
                }

                return $cell;
            }, $columns);
            $said = implode(
                ' ',
                array_map(
                    static fn(string $column, string $reason): string => "{$column}: {$reason}",
                    array_keys($reasons[$number] ?? []),
                    $reasons[$number] ?? [],
                ),
            );
            $writer->addRow(new Row([...$cells, new Cell($number), TableFile::cell($said)], null));
        }
        $writer->close();

        return $path;
    }
}
