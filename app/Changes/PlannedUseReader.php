<?php

declare(strict_types=1);

namespace App\Changes;

use App\Changes\Data\PlannedUse;
use App\Structures\ItemRows;
use App\Structures\Models\Item;
use Illuminate\Support\Facades\DB;

/** Where open orders would begin or cease to use an item. */
final readonly class PlannedUseReader
{
    private const SQL = "
        WITH active AS (
            SELECT o.number, o.effective_on, oi.item_id, oi.base_revision_id, e.operation, e.line_key, e.fields
            FROM edits e JOIN change_order_items oi ON oi.id = e.order_item_id JOIN change_orders o ON o.id = oi.order_id
            WHERE e.withdrawn_at IS NULL AND o.state IN ('revising', 'in_review', 'signed')
        )
        SELECT number, effective_on, item_id, 'adds' AS what FROM active WHERE operation IN ('add', 'replace') AND fields ->> 'component' = :number
        UNION
        SELECT a.number, a.effective_on, a.item_id, 'ends' FROM active a
        JOIN structure_lines l ON l.revision_id = a.base_revision_id AND l.kind = 'engineering' AND l.line_key = a.line_key
        WHERE a.operation IN ('remove', 'replace') AND l.component_id = :item
        ORDER BY 1, 3, 4";

    /** @return list<PlannedUse> */
    public function read(Item $item): array
    {
        $found = DB::select(self::SQL, ['number' => $item->number, 'item' => $item->id]);
        $parents = ItemRows::byId(array_values(array_unique(array_map(static fn (\stdClass $row): int => $row->item_id, $found))));

        return array_values(array_map(static fn (\stdClass $row): PlannedUse => new PlannedUse($parents[$row->item_id], $row->what, $row->number, $row->effective_on), $found));
    }
}
