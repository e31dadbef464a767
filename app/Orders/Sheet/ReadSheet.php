<?php

declare(strict_types=1);

namespace App\Orders\Sheet;

use App\Orders\Models\ChangeOrder;
use App\Orders\Subjects\NamedWork;
use App\Tables\HeadCell;
use App\Tables\HeadedRows;
use App\Tables\SheetReader;
use Illuminate\Support\Str;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineReader;
use Orthotaxis\Core\Structure\Structure;

/** A sheet that came back: what its lines are to be, and every cell that cannot be read. */
final readonly class ReadSheet
{
    private const MOST = 50_000;

    /**
     * @param  array<string, Structure>  $was  as it was taken away, by subject
     * @param  array<string, Structure>  $wanted  as it is to be, by subject
     * @param  array<string, array<string, int>>  $rows  numbers of rows, by subject and line
     * @param  array<int, array<string, string>>  $faults  by row and column
     * @param  array<string, HeadCell>  $head  what stands above the lines, by name
     */
    private function __construct(
        public OrderSheet $sheet,
        public array $head,
        public array $was,
        public array $wanted,
        public array $rows,
        public array $faults,
    ) {}

    /** @throws Refusal when it is no sheet of the order */
    public static function of(ChangeOrder $order, string $path): self
    {
        $file = self::open($path);
        $read = iterator_to_array($file->rows);
        if ($read === []) {
            throw Refusal::at('file', 'The sheet has no rows. What is to go altogether is removed on the page.');
        }
        $sheet = self::sheet($order, $read);
        $was = $sheet->structures();
        $reader = new LineReader();
        $lines = $rows = $faults = [];
        foreach ($read as $number => $row) {
            $subject = NamedWork::of($order->number, $row[SheetColumns::PARENT], $row[SheetColumns::STRUCTURE])->key();
            $key = $row[SheetColumns::LINE];
            $fault = self::placeFault($subject, $row, $was, $rows, $sheet->id);
            if ($fault !== null) {
                $faults[$number] = $fault;

                continue;
            }
            $key = $key === '' ? (string) Str::uuid7() : $key;
            try {
                $lines[$subject][$key] = $reader->read($key, SheetColumns::fieldsOf($row), $was[$subject]->line($key));
                $rows[$subject][$key] = $number;
            } catch (Refusal $refusal) {
                $faults[$number] = $refusal->reasons;
                // It is there all the same, and not taken out.
                $rows[$subject][$key] = $number;
                $lines[$subject][$key] = $was[$subject]->line($key);
            }
        }
        $wanted = array_map(
            static fn(array $some): Structure => new Structure(array_filter($some, static fn(?Line $line): bool => $line !== null)),
            $lines + array_map(static fn(): array => [], $was),
        );

        return new self($sheet, head: $file->head, was: $was, wanted: $wanted, rows: $rows, faults: $faults);
    }

    public static function open(string $path): HeadedRows
    {
        return (new SheetReader($path, SheetColumns::all(), SheetColumns::needed(), self::MOST))->headed(OrderHead::names());
    }

    /** @param  array<int, array<string, string>>  $rows */
    private static function sheet(ChangeOrder $order, array $rows): OrderSheet
    {
        $ids = array_values(
            array_unique(array_filter(array_column($rows, SheetColumns::SHEET), static fn(string $id): bool => $id !== '')),
        );
        $sheet = count($ids) === 1 && Str::isUuid($ids[0]) ? OrderSheet::query()->where('order_id', $order->id)->find($ids[0]) : null;

        return $sheet ??
            throw Refusal::at(
                'file',
                "This is no sheet of {$order->number}, or of several of its sheets. Download one, and leave its column \"sheet\" as it is.",
            );
    }

    /**
     * @param  array<string, string>  $row
     * @param  array<string, Structure>  $was
     * @param  array<string, array<string, int>>  $rows  read so far
     * @return ?non-empty-array<string, string> why the row is of no line, by column
     */
    private static function placeFault(string $subject, array $row, array $was, array $rows, string $sheet): ?array
    {
        $key = $row[SheetColumns::LINE];

        return match (true) {
            !isset($was[$subject]) => [SheetColumns::PARENT => "This sheet has no {$row['structure']} structure of {$row['parent']}."],
            $key === '' => null,
            isset($rows[$subject][$key]) => [
                SheetColumns::LINE => 'This line stands in the sheet already. Leave the cell of a copied row empty.',
            ],
            $was[$subject]->line($key) === null => [
                SheetColumns::LINE => "{$row['parent']} had no such line in sheet {$sheet}. Leave the cell of a new row empty.",
            ],
            default => null,
        };
    }
}
