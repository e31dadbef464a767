<?php

declare(strict_types=1);

namespace App\Dossier\Sheet;

use App\Orders\Sheet\OrderHead;
use App\Orders\Sheet\SheetColumns;
use App\Orders\Sheet\SheetHead;
use App\Structures\MistypedNumbers;
use App\Structures\Models\Item;
use App\Tables\HeadCell;
use App\Tables\HeadedRows;
use App\Tables\SheetReader;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Refusal;

/** A sheet of an order that does not exist yet: what it is called, the items it names, and what it does to which lines. */
final readonly class ReadOrderSheet
{
    private const MOST = 20_000;

    /**
     * @param  array<string, HeadCell>  $head  by name
     * @param  list<string>  $items  numbers, each once
     * @param  array<string, non-empty-array<int, RowAct>>  $acts  by subject ("200-0010 engineering") and row
     * @param  array<int, array<string, string>>  $faults  by row and column
     */
    private function __construct(public array $head, public array $items, public array $acts, public array $faults) {}

    public static function open(string $path): HeadedRows
    {
        return (new SheetReader($path, OrderSheetColumns::all(), [SheetColumns::PARENT], self::MOST))->headed(OrderHead::names());
    }

    /** @throws Refusal when it is no such sheet */
    public static function of(string $path): self
    {
        $file = self::open($path);
        $rows = iterator_to_array($file->rows);
        $faults = self::headFaults($file->head);
        $known = Item::query()
            ->whereIn('number', array_values(array_unique(array_column($rows, SheetColumns::PARENT))))
            ->pluck('number')
            ->flip()
            ->all();
        $mistyped = new MistypedNumbers();
        $structures = OrderSheetColumns::structures();
        $items = $acts = [];
        foreach ($rows as $number => $row) {
            $parent = $row[SheetColumns::PARENT];
            $fields = array_filter(SheetColumns::fieldsOf($row), static fn(string $text): bool => $text !== '');
            $act = $row[OrderSheetColumns::ACT] ?? '';
            $structure = $row[SheetColumns::STRUCTURE] ?? '' ?: Subject::ENGINEERING;
            $fault = match (true) {
                $parent === '' => [SheetColumns::PARENT => 'Name the item.'],
                !isset($known[$parent]) => [SheetColumns::PARENT => $mistyped->noSuchItem($parent)],
                $act === '' && $fields !== [] => [
                    OrderSheetColumns::ACT => 'Say what is done to the line: ' . implode(', ', OrderSheetColumns::ACTS) . '.',
                ],
                $act !== '' && !in_array($act, OrderSheetColumns::ACTS, true) => [
                    OrderSheetColumns::ACT => 'Write one of ' . implode(', ', OrderSheetColumns::ACTS) . '.',
                ],
                !in_array($structure, $structures, true) => [
                    SheetColumns::STRUCTURE => 'Write one of ' . implode(', ', $structures) . '.',
                ],
                default => null,
            };
            if ($fault !== null) {
                $faults[$number] = $fault;

                continue;
            }
            $items[$parent] = true;
            if ($act !== '') {
                $acts["{$parent} {$structure}"][$number] = new RowAct($act, $fields);
            }
        }
        if ($items === [] && $faults === []) {
            throw Refusal::at('file', 'The sheet names no item. Write at least one into its column "parent".');
        }

        return new self($file->head, array_map(strval(...), array_keys($items)), $acts, $faults);
    }

    /** What the head says; empty where it says nothing. */
    public function says(string $name): string
    {
        return ($this->head[$name] ?? null)->text ?? '';
    }

    /** The row in which the head says something; the first where it does not. */
    public function rowOf(string $name): int
    {
        return ($this->head[$name] ?? null)->row ?? 1;
    }

    /**
     * @param  array<string, HeadCell>  $head
     * @return array<int, array<string, string>>
     */
    private static function headFaults(array $head): array
    {
        $faults = [];
        $needed = ['title' => 'An order needs a title.', 'description' => 'Say what changes and why: there is no request that does.'];
        foreach ($needed as $name => $reason) {
            if ((($head[$name] ?? null)->text ?? '') === '') {
                $faults[($head[$name] ?? null)->row ?? 1][$name] = $reason;
            }
        }
        foreach ($head as $name => $cell) {
            $fault = $cell->text === '' ? null : SheetHead::fault($name, $cell->text);
            if ($fault !== null) {
                $faults[$cell->row][$name] = $fault;
            }
        }

        return $faults;
    }
}
