<?php

declare(strict_types=1);

namespace App\Tables;

use OpenSpout\Reader\Common\Creator\ReaderEntityFactory;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Text\Readable;
use Orthotaxis\Core\Text\SpreadsheetText;

/**
 * Reads a table of a file row by row, whatever its size. What the file is, its content says, never its name: XLSX, CSV
 * with commas, semicolons or tabs in UTF-8, JSON as we write it, or the product structure of an ISO 10303-21 file.
 */
final readonly class SheetReader
{
    private const LARGEST = 2_000_000_000;

    private const MOST_ROWS = 2_000_000;

    private const MOST_COLUMNS = 200;

    /** What MarkedTable adds: whoever puts a marked workbook right brings it as it is. */
    private const OURS = ['row', 'what_is_wrong'];

    /**
     * @param  list<string>  $known  the columns there may be
     * @param  list<string>  $needed  those without which the file says nothing
     * @param  int  $most  rows that are read at all, empty ones among them
     */
    public function __construct(private string $path, private array $known, private array $needed, private int $most = self::MOST_ROWS) {}

    /**
     * @return \Generator<int, array<string, string>> row number as a spreadsheet counts => text by column
     *
     * @throws Refusal when the file cannot be read, or its columns are not the ones
     */
    public function rows(): \Generator
    {
        return $this->table($this->cells(false));
    }

    /**
     * The same of a file that says something above its table: a name in the first cell of a row, and what it says beside it.
     *
     * @param  list<string>  $names  that may stand there
     *
     * @throws Refusal when the file cannot be read
     */
    public function headed(array $names): HeadedRows
    {
        $head = [];
        $cells = $this->cells(true);
        for (; $cells->valid(); $cells->next()) {
            $name = self::name($cells->current()[0] ?? '');
            if (!in_array($name, $names, true) && implode('', $cells->current()) !== '') {
                break;
            }
            if ($name !== '') {
                $text = self::plain($cells->current()[1] ?? '');
                $fault = Readable::fault($text);
                $fault === null || throw Refusal::at('file', "Row {$cells->key()}, {$name}: {$fault}");
                $head[$name] = new HeadCell($cells->key(), $text);
            }
        }

        return new HeadedRows($head, $this->table($cells));
    }

    /** @return \Generator<int, list<string>> */
    private function cells(bool $headed): \Generator
    {
        return match (true) {
            $this->begins("PK\x03\x04") => $this->sheet(),
            $this->begins('{') => (new JsonRows($this->path, $this->known, $headed))->rows(),
            $this->begins('ISO-10303-21;') => (new StepFileRows($this->path, in_array('title', $this->known, true)))->rows(),
            default => $this->csv(),
        };
    }

    /**
     * @param  \Generator<int, list<string>>  $table  at the row that names the columns
     * @return \Generator<int, array<string, string>>
     */
    private function table(\Generator $table): \Generator
    {
        $columns = null;
        $seen = 0;
        for (; $table->valid(); $table->next()) {
            [$number, $cells] = [$table->key(), $table->current()];
            if (++$seen > $this->most || count($cells) > self::MOST_COLUMNS) {
                throw Refusal::at(
                    'file',
                    'At most ' .
                        number_format($this->most) .
                        ' rows, empty ones among them, and ' .
                        self::MOST_COLUMNS .
                        ' columns are read from a file.',
                );
            }
            if ($columns === null) {
                $columns = $this->columns($cells);

                continue;
            }
            $row = [];
            foreach ($columns as $at => $column) {
                $row[$column] = self::plain($cells[$at] ?? '');
                $fault = Readable::fault($row[$column]);
                $fault === null || throw Refusal::at('file', "Row {$number}, {$column}: {$fault}");
            }
            if (implode('', $row) !== '') {
                yield $number => $row;
            }
        }
        if ($columns === null) {
            throw Refusal::at('file', 'The file is empty.');
        }
    }

    /**
     * @param  list<string>  $heads
     * @return array<int, string>
     */
    private function columns(array $heads): array
    {
        $columns = [];
        foreach ($heads as $at => $head) {
            $name = self::name($head);
            if ($name === '' || (in_array($name, self::OURS, true) && !in_array($name, $this->known, true))) {
                continue;
            }
            if (!in_array($name, $this->known, true)) {
                throw Refusal::at(
                    'file',
                    "The first row names a column “{$head}” that is not known. Known are " . implode(', ', $this->known) . '.',
                );
            }
            if (in_array($name, $columns, true)) {
                throw Refusal::at('file', "The column “{$head}” is there twice.");
            }
            $columns[$at] = $name;
        }
        $missing = array_diff($this->needed, $columns);
        if ($missing !== []) {
            throw Refusal::at('file', 'The first row has to name the columns; missing: ' . implode(', ', $missing) . '.');
        }

        return $columns;
    }

    private static function name(string $head): string
    {
        return str_replace([' ', '-'], '_', strtolower(trim($head)));
    }

    private function begins(string $sign): bool
    {
        return str_starts_with(ltrim((string) file_get_contents($this->path, false, null, 0, 64)), $sign);
    }

    /** @return \Generator<int, list<string>> */
    private function sheet(): \Generator
    {
        $zip = new \ZipArchive();
        if ($zip->open($this->path) !== true || $zip->locateName('xl/workbook.xml') === false) {
            throw Refusal::at('file', 'This is neither a spreadsheet (XLSX) nor a text table (CSV).');
        }
        $size = 0;
        for ($i = 0; $i < $zip->numFiles; $i++) {
            $size += $zip->statIndex($i)['size'] ?? 0;
        }
        $zip->close();
        if ($size > self::LARGEST) {
            throw Refusal::at('file', 'The spreadsheet unpacks to more than two gigabytes.');
        }
        $reader = ReaderEntityFactory::createXLSXReader();
        // Empty rows count: a workbook of nothing but them would be read for ever.
        $reader->setShouldPreserveEmptyRows(true);
        try {
            $reader->open($this->path);
            foreach ($reader->getSheetIterator() as $sheet) {
                if ($sheet === null) {
                    break;
                }
                foreach ($sheet->getRowIterator() as $number => $row) {
                    yield (int) $number => array_map(self::text(...), array_values($row->toArray()));
                }
                break;
            }
        } catch (\OpenSpout\Common\Exception\SpoutException | \ErrorException) {
            // A damaged part of it is told by a warning where it is unpacked.
            throw Refusal::at('file', 'The spreadsheet is damaged.');
        } finally {
            $reader->close();
        }
    }

    /** @return \Generator<int, list<string>> */
    private function csv(): \Generator
    {
        $file = fopen($this->path, 'rb');
        if ($file === false) {
            throw Refusal::at('file', 'The file cannot be read.');
        }
        $first = (string) fgets($file);
        rewind($file);
        if (str_starts_with($first, "\u{FEFF}")) {
            fseek($file, 3);
        }
        $counts = array_map(static fn(string $mark): int => substr_count($first, $mark), [',' => ',', ';' => ';', "\t" => "\t"]);
        arsort($counts);
        for ($number = 1; ($cells = fgetcsv($file, null, (string) array_key_first($counts), '"', '')) !== false; $number++) {
            $cells = array_map(static fn(?string $cell): string => $cell ?? '', $cells);
            foreach ($cells as $cell) {
                if (!mb_check_encoding($cell, 'UTF-8') || str_contains($cell, "\0")) {
                    throw Refusal::at('file', "Row {$number} is not text in UTF-8. Save the table as XLSX or as CSV in UTF-8.");
                }
            }
            yield $number => $cells;
        }
        fclose($file);
    }

    private static function text(mixed $value): string
    {
        return match (true) {
            $value instanceof \DateTimeInterface => $value->format('Y-m-d'),
            is_bool($value) => $value ? 'yes' : '',
            // A spreadsheet keeps numbers as binary fractions; six decimals are what a quantity has.
            is_float($value) => str_contains($text = sprintf('%.6F', $value), '.') ? rtrim(rtrim($text, '0'), '.') : $text,
            default => is_scalar($value) ? (string) $value : '',
        };
    }

    private static function plain(string $text): string
    {
        return trim(SpreadsheetText::read($text));
    }
}
