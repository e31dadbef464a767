<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Data\Collision;
use App\Orders\Models\ChangeOrder;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;

/** Other open orders that revise what this one revises: to be seen long before release. */
final readonly class Collisions
{
    /** @return list<Collision> */
    public function of(ChangeOrder $order): array
    {
        $open = array_column(array_filter(OrderState::cases(), static fn(OrderState $state): bool => $state->isOpen()), 'value');
        if (!$order->state->isOpen()) {
            return [];
        }

        return DB::table('change_order_items AS mine')
            ->join('change_order_items AS other', 'other.item_id', '=', 'mine.item_id')
            ->join('change_orders AS o', 'o.id', '=', 'other.order_id')
            ->join('items AS i', 'i.id', '=', 'mine.item_id')
            ->where('mine.order_id', $order->id)
            ->where('other.order_id', '!=', $order->id)
            ->where('mine.outcome', Outcome::Revise->value)
            ->where('other.outcome', Outcome::Revise->value)
            ->whereIn('o.state', $open)
            ->orderBy('o.id')
            ->orderBy('i.number')
            ->get(['o.number', 'o.title', 'o.state', 'i.number AS item'])
            ->groupBy('number')
            ->map(
                static fn($rows): Collision => new Collision(
                    $rows[0]->number,
                    $rows[0]->title,
                    $rows[0]->state,
                    $rows->pluck('item')->values()->all(),
                ),
            )
            ->values()
            ->all();
    }
}
