<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Data\PlannedUse;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\Structures\ItemRows;
use App\Structures\Models\Item;
use App\Tables\Quoted;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\OrderState;

/** Where open orders would begin or cease to use an item. */
final readonly class PlannedUseReader
{
    /** Items on open orders with an edit that names the component, or takes it out of a line. */
    private const EDITED = "
        SELECT DISTINCT oi.id
        FROM edits e JOIN works w ON w.id = e.work_id AND w.kind = 'engineering' JOIN change_order_items oi ON oi.id = w.order_item_id
        JOIN change_orders o ON o.id = oi.order_id LEFT JOIN structure_lines l ON l.content_id = w.base_id AND l.line_key::text = e.part
        WHERE e.withdrawn_at IS NULL AND o.state IN {editing}
            AND (e.fields ->> 'component' = ? OR e.operation IN ('remove', 'replace') AND l.component_id = ?)";

    public function __construct(private OrderReader $orders) {}

    /** @return list<PlannedUse> by order and number of the parent */
    public function read(Item $item): array
    {
        $rows = OrderItem::query()
            ->with(['order', 'item'])
            ->whereIn(
                'id',
                array_column(
                    DB::select(strtr(self::EDITED, ['{editing}' => Quoted::cases(OrderState::editing())]), [$item->number, $item->id]),
                    'id',
                ),
            )
            ->get();
        $orders = $this->orders->many(
            new Collection($rows->map(static fn(OrderItem $row): ChangeOrder => $row->order)->unique('id')->all()),
        );
        $parents = ItemRows::byId($rows->pluck('item_id')->unique()->values()->all());
        $uses = [];
        foreach ($rows->sortBy(static fn(OrderItem $row): array => [$row->order->number, $row->item->number]) as $row) {
            $edited = $orders[$row->order_id]->item($row->item->number);
            $was = in_array($item->number, $edited->before()->components(), true);
            $will = in_array($item->number, $edited->after()->components(), true);
            // What was taken out and came back, or moved to another line, is used as before.
            if ($was !== $will) {
                $uses[] = new PlannedUse($parents[$row->item_id], $will ? 'adds' : 'ends', $row->order->number, $row->order->effective_on);
            }
        }

        return $uses;
    }
}
