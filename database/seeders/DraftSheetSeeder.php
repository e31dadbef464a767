<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Documents\FileRole;
use App\Orders\Models\OrderItem;
use App\People\Models\Person;
use App\Sheets\Models\SheetMark;
use App\Structures\Models\Item;
use App\Structures\StructureReader;
use Illuminate\Database\Seeder;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/** A drawing that is worked on under an open order: what it will look like, and not yet released. */
final class DraftSheetSeeder extends Seeder
{
    public function run(): void
    {
        $board = Item::query()->with('released')->where('number', '300-0010')->firstOrFail();
        $row = OrderItem::query()
            ->with('item.released')
            ->whereRelation('item', 'title', "Drawing, {$board->title}")
            ->whereRelation('order', 'state', 'revising')
            ->firstOrFail();
        self::bring($row, $board, (new StructureReader())->ofRevision($board->released?->id), 'Regulator: see the last-time buy.');
    }

    /**
     * Brings the sheet of a drawing as it will be under an order.
     *
     * @param  Structure  $lines  what it shows
     * @param  string  $note  what the new sheet says besides
     */
    public static function bring(OrderItem $row, Item $of, Structure $lines, string $note): void
    {
        $number = $row->item->number;
        $titles = Item::query()->whereIn('number', $lines->components())->pluck('title', 'number');
        $content = DemoSheet::svg(
            [
                'number' => $number,
                'title' => $of->title,
                'of' => $of->number,
                'revision' => 'B',
                'date' => '',
                'material' => 'as listed',
            ],
            array_values(
                array_map(
                    static fn(Line $line): array => [
                        'find' => $line->find,
                        'number' => $line->component,
                        'title' => (string) $titles[$line->component],
                        'quantity' => "{$line->quantity} {$line->unit->value}",
                    ],
                    $lines->lines,
                ),
            ),
            $note,
        );
        $file = DocumentSeeder::file($row->item, 'image/svg+xml', "{$number}-B.svg", $content, FileRole::Sheet, $row->order_id);
        // Where the note has come.
        SheetMark::query()->create([
            'file_id' => $file,
            'page' => 1,
            'left' => 0.22,
            'top' => 0.931,
            'zone' => 'F2',
            'note' => $note,
            'person_id' => Person::query()->where('login', 'jonas.weir')->firstOrFail()->id,
            'set_at' => now(),
        ]);
    }
}
