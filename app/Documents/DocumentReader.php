<?php

declare(strict_types=1);

namespace App\Documents;

use App\Days\Today;
use App\Documents\Data\DocumentPage;
use App\Documents\Data\DocumentRow;
use App\Documents\Data\FileRow;
use App\Documents\Models\ItemDocument;
use App\Documents\Models\ItemFile;
use App\Structures\ItemRows;
use App\Structures\Models\Item;
use Illuminate\Database\Eloquent\Builder;
use Orthotaxis\Core\Revision\Phase;

/** Reads what is written and drawn about an item. */
final readonly class DocumentReader
{
    public function read(Item $item): DocumentPage
    {
        $links = ItemDocument::query()
            ->with(['shows', 'adoptingOrder'])
            ->where('item_id', $item->id)
            ->orWhere('document_id', $item->id)
            ->orderBy('id')
            ->get();
        $others = array_values(
            array_unique(
                $links
                    ->map(static fn(ItemDocument $link): int => $link->item_id === $item->id ? $link->document_id : $link->item_id)
                    ->all(),
            ),
        );
        $rows = ItemRows::byId($others);
        $sheets = [];
        foreach (
            self::files()
                ->whereIn('item_id', $others)
                ->where('role', FileRole::Sheet)
                ->whereNotNull('revision_id')
                ->orderBy('brought_at')
                ->get()
            as $file
        ) {
            // What is in force goes before what comes or has ended; of several the newest.
            $row = FileRow::of($file);
            if ($row->status === Phase::InForce->value || ($sheets[$file->item_id] ?? null)?->status !== Phase::InForce->value) {
                $sheets[$file->item_id] = $row;
            }
        }
        $today = Today::day();
        $row = static fn(ItemDocument $link, int $other): DocumentRow => new DocumentRow(
            $rows[$other],
            $link->shows?->code,
            $link->shows?->dated()->phase($today)->isPast() === true,
            $link->adoptingOrder?->number,
            $sheets[$other] ?? null,
        );

        return new DocumentPage(
            $item->number,
            self::files()
                ->where('item_id', $item->id)
                ->orderByDesc('brought_at')
                ->orderByDesc('id')
                ->get()
                ->map(FileRow::of(...))
                ->values()
                ->all(),
            $links
                ->where('item_id', $item->id)
                ->map(static fn(ItemDocument $link): DocumentRow => $row($link, $link->document_id))
                ->values()
                ->all(),
            $links
                ->where('document_id', $item->id)
                ->map(static fn(ItemDocument $link): DocumentRow => $row($link, $link->item_id))
                ->values()
                ->all(),
        );
    }

    /** @return Builder<ItemFile> */
    private static function files(): Builder
    {
        return ItemFile::query()->with(['item', 'revision', 'order', 'person']);
    }
}
