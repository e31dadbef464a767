<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Data\PlannedUse;
use App\Orders\Models\OrderItem;
use App\Structures\ItemRows;
use App\Structures\Models\Item;
use App\Structures\StructureReader;
use App\Tables\Quoted;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Structure\Structure;

/** Where open orders would begin or cease to use an item. */
final readonly class PlannedUseReader
{
    /** Items on open orders with an edit that names the component, or takes it out of a line. */
    private const EDITED = "
        SELECT DISTINCT oi.id
        FROM edits e JOIN change_order_items oi ON oi.id = e.order_item_id JOIN change_orders o ON o.id = oi.order_id
        LEFT JOIN structure_lines l ON l.revision_id = oi.base_revision_id AND l.kind = 'engineering' AND l.line_key = e.line_key
        WHERE e.withdrawn_at IS NULL AND o.state IN {editing}
            AND (e.fields ->> 'component' = ? OR e.operation IN ('remove', 'replace') AND l.component_id = ?)";

    public function __construct(private StructureReader $structures) {}

    /** @return list<PlannedUse> by order and number of the parent */
    public function read(Item $item): array
    {
        $rows = OrderItem::query()
            ->with(['edits', 'order', 'item'])
            ->whereIn(
                'id',
                array_column(
                    DB::select(strtr(self::EDITED, ['{editing}' => Quoted::cases(OrderState::editing())]), [$item->number, $item->id]),
                    'id',
                ),
            )
            ->get();
        $bases = $this->structures->ofRevisions($rows->pluck('base_revision_id')->filter()->values()->all());
        $parents = ItemRows::byId($rows->pluck('item_id')->unique()->values()->all());
        $uses = [];
        foreach ($rows->sortBy(static fn(OrderItem $row): array => [$row->order->number, $row->item->number]) as $row) {
            $base = $bases[$row->base_revision_id] ?? new Structure();
            $was = in_array($item->number, $base->components(), true);
            $will = in_array($item->number, OrderReader::after($base, OrderReader::activeEdits($row))[0]->components(), true);
            // What was taken out and came back, or moved to another line, is used as before.
            if ($was !== $will) {
                $uses[] = new PlannedUse($parents[$row->item_id], $will ? 'adds' : 'ends', $row->order->number, $row->order->effective_on);
            }
        }

        return $uses;
    }
}
