<?php

declare(strict_types=1);

namespace App\Structures\Export;

use App\Structures\Data\TreePage;
use App\Structures\Data\TreeRow;
use App\Structures\Models\Item;
use App\Structures\StructureView;
use App\Structures\TreeReader;
use App\Tables\PrintedTable;
use App\Tables\Table;
use Illuminate\Support\Str;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Refusal;

/**
 * A structure as it is read on paper: a line directly before all that is below it, its number indented by its level, with the
 * revision in force on the day and the quantity for one of the assembly right above.
 */
final readonly class PartsList
{
    private const HEADS = ['Level', 'Find', 'Number', 'Title', 'Rev.', 'Qty', 'Unit', 'Reference designators', 'Notes'];

    public function __construct(private TreeReader $trees) {}

    /** @throws Refusal when it is too long to print */
    public function of(Item $item, StructureView $view, Day $day, bool $allLevels): Table
    {
        $page = $this->trees->read($item, $view, $day, false, $allLevels ? TreeReader::DEEPEST : 1, Quantity::one());
        if ($page->more) {
            throw Refusal::at(
                'format',
                'More than ' . PrintedTable::MOST_ROWS . ' rows are too many to print. Export XLSX, or choose one level.',
            );
        }

        return new Table(
            "{$item->number} {$item->title}",
            self::notes($page, $day, $allLevels),
            self::HEADS,
            array_map(self::row(...), $page->rows),
            ['Level', 'Find', 'Qty'],
        );
    }

    /** @return list<string> */
    private static function notes(TreePage $page, Day $day, bool $allLevels): array
    {
        $revision =
            $page->revision === null
                ? 'No revision in force'
                : "Revision {$page->revision->code}, " . Str::replace('_', ' ', $page->revision->status);
        $plant = $page->plant === '' ? '' : ", plant {$page->plant}";

        return [
            "{$revision} · " .
            Str::ucfirst($page->kind) .
            " parts list{$plant}, " .
            ($allLevels ? 'all levels' : 'one level') .
            ' · as of ' .
            $day->spelled(),
        ];
    }

    /** @return list<string|int|null> */
    private static function row(TreeRow $row): array
    {
        $line = $row->line;
        $revision = $line->revision === null ? $row->revision ?? '–' : "{$line->revision} (fixed)";
        $notes = [
            $line->notes,
            $line->not_modelled ? 'Not modelled' : '',
            $line->phantom ? 'Phantom' : '',
            $line->by_product ? 'By-product' : '',
        ];

        return [
            $row->level,
            $line->find,
            str_repeat('· ', $row->level - 1) . $line->component,
            $row->item->title,
            $revision,
            $line->quantity,
            $line->unit,
            Str::replace(',', ', ', $line->designators),
            implode('; ', array_filter($notes, static fn(string $note): bool => $note !== '')),
        ];
    }
}
