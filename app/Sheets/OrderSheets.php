<?php

declare(strict_types=1);

namespace App\Sheets;

use App\Documents\Data\FileRow;
use App\Documents\FileRole;
use App\Documents\Models\ItemFile;
use App\Orders\Models\ChangeOrder;
use App\Sheets\Data\OrderSheetRow;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/** The sheets that an order brings, each with the one that was released last before it. */
final readonly class OrderSheets
{
    /** @return list<OrderSheetRow> by number of item */
    public static function of(ChangeOrder $order): array
    {
        $files = static fn(): Builder => ItemFile::query()
            ->with(['item', 'revision', 'order', 'person'])
            ->where('role', FileRole::Sheet);
        // A first sheet may have come before any order had its item.
        $early = static fn(Builder $files): Builder => $files
            ->whereNull('order_id')
            ->whereNull('revision_id')
            ->whereIn('item_id', DB::table('change_order_items')->where('order_id', $order->id)->select('item_id'));
        $brought = $files()
            ->where(static fn(Builder $files): Builder => $files->where('order_id', $order->id)->orWhere($early))
            ->orderBy('brought_at')
            ->orderBy('id')
            ->get()
            ->sortBy(static fn(ItemFile $file): string => $file->item->number);
        $released = $files()
            ->whereIn('item_id', $brought->pluck('item_id')->unique()->all())
            ->whereNotNull('revision_id')
            ->get()
            ->groupBy('item_id');
        $rows = [];
        foreach ($brought as $file) {
            $before = $released
                ->get($file->item_id)
                ?->filter(
                    static fn(ItemFile $one): bool => $one->id !== $file->id &&
                        ($file->revision === null || $one->revision?->effective_from < $file->revision->effective_from),
                )
                ->sortBy(static fn(ItemFile $one): string => "{$one->revision?->effective_from} {$one->brought_at->toIso8601String()}")
                ->last();
            $rows[] = new OrderSheetRow(
                $file->item->number,
                $file->item->title,
                $before === null ? null : FileRow::of($before),
                FileRow::of($file),
            );
        }

        return $rows;
    }
}
