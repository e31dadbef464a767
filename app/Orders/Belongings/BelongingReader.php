<?php

declare(strict_types=1);

namespace App\Orders\Belongings;

use App\Documents\FileRole;
use App\Documents\Models\ItemDocument;
use App\Documents\Models\ItemFile;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\LeftBehindRecord;
use App\Orders\Models\OrderItem;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Belonging\Belongings;
use Orthotaxis\Core\Belonging\DescribedBy;
use Orthotaxis\Core\Belonging\ModelledBy;
use Orthotaxis\Core\Belonging\Standing;
use Orthotaxis\Core\Change\Belonging;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\Outcome;

/** What belongs together with the items of an order, in a number of queries that does not depend on how many there are. */
final readonly class BelongingReader
{
    /** @return list<Belonging> */
    public function of(ChangeOrder $order, Order $core): array
    {
        $documents = $this->documents($order);
        $numbers = [...array_map(static fn(DescribedBy $one): string => $one->document, $documents), ...Belongings::named($core)];

        return Belongings::of(
            $core,
            $documents,
            self::standing(array_values(array_unique($numbers))),
            self::decisions($order)->map(static fn(LeftBehindRecord $one) => $one->toCore())->values()->all(),
            self::models($order),
        );
    }

    /** @return Collection<int, LeftBehindRecord> that hold */
    public static function decisions(ChangeOrder $order): Collection
    {
        return LeftBehindRecord::query()
            ->with(['item', 'other', 'person'])
            ->where('order_id', $order->id)
            ->whereNull('withdrawn_at')
            ->orderBy('id')
            ->get();
    }

    /** @return list<DescribedBy> */
    private function documents(ChangeOrder $order): array
    {
        $revised = $order->items->where('outcome', Outcome::Revise)->map(static fn(OrderItem $row): int => $row->item_id);

        return $revised->isEmpty()
            ? []
            : ItemDocument::query()
                ->with(['item', 'document', 'shows'])
                ->whereIn('item_id', $revised)
                ->orderBy('id')
                ->get()
                ->map(
                    static fn(ItemDocument $link): DescribedBy => new DescribedBy(
                        $link->item->number,
                        $link->document->number,
                        $link->shows?->code,
                        adopts: $link->adopting_order_id === $order->id,
                    ),
                )
                ->values()
                ->all();
    }

    /** @return list<ModelledBy> */
    private static function models(ChangeOrder $order): array
    {
        $revised = $order->items->where('outcome', Outcome::Revise)->map(static fn(OrderItem $row): int => $row->item_id);
        if ($revised->isEmpty()) {
            return [];
        }
        $files = ItemFile::query()
            ->with(['item', 'revision'])
            ->where('role', FileRole::Model)
            ->whereIn('item_id', $revised)
            ->orderBy('brought_at')
            ->get();

        return array_values(
            $files
                ->whereNotNull('revision_id')
                ->keyBy('item_id')
                ->map(
                    static fn(ItemFile $newest): ModelledBy => new ModelledBy(
                        $newest->item->number,
                        (string) $newest->revision?->code,
                        comes: $files->contains(
                            static fn(ItemFile $one): bool => $one->item_id === $newest->item_id && $one->order_id === $order->id,
                        ),
                    ),
                )
                ->all(),
        );
    }

    /**
     * @param  list<string>  $numbers
     * @return array<string, Standing> by number
     */
    private static function standing(array $numbers): array
    {
        $rows =
            $numbers === []
                ? []
                : DB::select(
                    "SELECT i.number, bool_or(r.status = 'released') AS released, bool_or(r.status IN ('superseded', 'obsolete')) AS was
                    FROM items i LEFT JOIN revisions r ON r.item_id = i.id
                    WHERE i.number IN (SELECT jsonb_array_elements_text(?::jsonb)) GROUP BY i.number",
                    [json_encode($numbers, JSON_THROW_ON_ERROR)],
                );
        $standing = [];
        foreach ($rows as $row) {
            $standing[$row->number] = match (true) {
                $row->released => Standing::Released,
                $row->was => Standing::Retired,
                default => Standing::Never,
            };
        }

        return $standing;
    }
}
