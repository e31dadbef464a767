<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Data\Collision;
use App\Orders\Models\ChangeOrder;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Content\Subject;

/** Other open orders that change what this one changes, be it the revision or another subject of it: to be seen long before release. */
final readonly class Collisions
{
    /** @return list<Collision> */
    public function of(ChangeOrder $order): array
    {
        $open = array_column(array_filter(OrderState::cases(), static fn(OrderState $state): bool => $state->isOpen()), 'value');
        if (!$order->state->isAhead()) {
            return [];
        }

        return DB::table('change_order_items AS mine')
            ->join('change_order_items AS other', 'other.item_id', '=', 'mine.item_id')
            ->join('change_orders AS o', 'o.id', '=', 'other.order_id')
            ->join('items AS i', 'i.id', '=', 'mine.item_id')
            ->where('mine.order_id', $order->id)
            ->where('other.order_id', '!=', $order->id)
            ->where(
                static fn(Builder $either): Builder => $either
                    ->where(['mine.outcome' => Outcome::Revise->value, 'other.outcome' => Outcome::Revise->value])
                    ->orWhereExists(self::sameSubject(...)),
            )
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

    /** Both have edited one subject: what a plant builds, or what is known of the item. */
    private static function sameSubject(Builder $works): void
    {
        $works
            ->from('works AS here')
            ->join(
                'works AS there',
                static fn(JoinClause $same): JoinClause => $same
                    ->on('there.kind', '=', 'here.kind')
                    ->on('there.plant', '=', 'here.plant')
                    ->where('here.kind', '!=', Subject::ENGINEERING),
            )
            ->whereColumn('here.order_item_id', 'mine.id')
            ->whereColumn('there.order_item_id', 'other.id')
            ->whereExists(static fn(Builder $edits): Builder => self::holding($edits, 'here'))
            ->whereExists(static fn(Builder $edits): Builder => self::holding($edits, 'there'));
    }

    private static function holding(Builder $edits, string $work): Builder
    {
        return $edits
            ->from('edits')
            ->whereColumn('edits.work_id', "{$work}.id")
            ->whereNull('edits.withdrawn_at');
    }
}
