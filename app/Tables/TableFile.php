<?php

declare(strict_types=1);

namespace App\Tables;

use OpenSpout\Common\Entity\Cell;
use OpenSpout\Common\Entity\Row;
use OpenSpout\Writer\Common\Creator\Style\StyleBuilder;
use OpenSpout\Writer\Common\Creator\WriterEntityFactory;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Text\SpreadsheetText;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\Response;

/** Writes a table as CSV (RFC 4180, UTF-8), XLSX (ISO/IEC 29500) or PDF. Rows are written as they come, so memory stays small. */
final readonly class TableFile
{
    /** Characters, by ISO/IEC 29500. */
    private const LONGEST_CELL = 32_767;

    private const KEPT_OF_LONGER = 32_000;

    private const TYPES = [
        'csv' => 'text/csv; charset=UTF-8',
        'xlsx' => 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
        'pdf' => 'application/pdf',
    ];

    public static function answer(Table $table, string $format, string $name): Response
    {
        if (!isset(self::TYPES[$format])) {
            throw Refusal::at('format', 'A table can be had as csv, xlsx or pdf.');
        }
        $path = tempnam(sys_get_temp_dir(), 'orthotaxis-table-');
        if ($path === false) {
            throw new \RuntimeException('There is no room for a file.');
        }
        try {
            match ($format) {
                'csv' => self::csv($table, $path),
                'xlsx' => self::xlsx($table, $path),
                'pdf' => PrintedTable::write($table, $path),
            };
        } catch (\Throwable $fault) {
            // What is not sent is not left behind.
            @unlink($path);

            throw $fault;
        }
        $safe = trim((string) preg_replace('/[^A-Za-z0-9._-]+/', '-', $name), '-.');

        return (new BinaryFileResponse($path, 200, ['Content-Type' => self::TYPES[$format]]))
            ->setContentDisposition('attachment', "{$safe}.{$format}")
            ->deleteFileAfterSend();
    }

    private static function csv(Table $table, string $path): void
    {
        $file = fopen($path, 'wb');
        if ($file === false) {
            throw new \RuntimeException("Cannot write {$path}.");
        }
        foreach (self::above($table) as $row) {
            fputcsv($file, array_map(self::harmless(...), $row), ',', '"', '', "\r\n");
        }
        fputcsv($file, $table->heads, ',', '"', '', "\r\n");
        foreach ($table->rows as $row) {
            fputcsv($file, array_map(self::harmless(...), $row), ',', '"', '', "\r\n");
        }
        fclose($file);
    }

    private static function xlsx(Table $table, string $path): void
    {
        $writer = WriterEntityFactory::createXLSXWriter();
        $writer->openToFile($path);
        $bold = (new StyleBuilder())->setFontBold()->build();
        foreach (self::above($table) as [$name, $text]) {
            $writer->addRow(new Row([new Cell($name, $bold), self::cell($text)], null));
        }
        $writer->addRow(WriterEntityFactory::createRowFromArray($table->heads, $bold));
        foreach ($table->rows as $row) {
            $writer->addRow(new Row(array_map(self::cell(...), $row), null));
        }
        if ($table->lists !== []) {
            OfferedLists::write($writer, $table);
        }
        $writer->close();
        if ($table->lists !== []) {
            OfferedLists::offer($path, $table);
        }
    }

    /** @return list<array{string, string}> what stands above the heads, and an empty row between */
    private static function above(Table $table): array
    {
        $rows = [];
        foreach ($table->head as $name => $text) {
            $rows[] = [$name, $text];
        }

        return $rows === [] ? [] : [...$rows, ['', '']];
    }

    /** Text stays text: a number with leading zeros, or what looks like a formula, is never taken for something else. */
    public static function cell(string|int|null $value): Cell
    {
        if (is_string($value) && mb_strlen($value) > self::LONGEST_CELL) {
            $value = mb_substr($value, 0, self::KEPT_OF_LONGER) . ' … (' . mb_strlen($value) . ' characters, more than a cell holds)';
        }
        $cell = new Cell($value);
        if (is_string($value) && $value !== '') {
            $cell->setType(Cell::TYPE_STRING);
        }

        return $cell;
    }

    private static function harmless(string|int|null $value): string|int|null
    {
        return is_string($value) ? SpreadsheetText::written($value) : $value;
    }
}
