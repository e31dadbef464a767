<?php

declare(strict_types=1);

namespace App\Orders\Worksheet;

use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/**
 * The items of an order whose lines are sent at once: so many that they come to some screens of lines the first time, so that the table is
 * there, and to some thousands after that. Items are taken whole, in the order in which they were named.
 */
final readonly class WorksheetPart
{
    /** Lines and items at most, the first time and later. */
    private const FIRST = [120, 30];

    private const MORE = [5_000, 1_000];

    private const LINES = <<<'SQL'
    SELECT i.id, (
        SELECT count(*) FROM contents c JOIN structure_lines l ON l.content_id = c.id
        WHERE c.item_id = i.item_id AND c.kind IN ('engineering', 'manufacturing') AND c.status = 'released'
    ) AS lines
    FROM (SELECT id, item_id FROM change_order_items WHERE order_id = ? AND id >= ? ORDER BY id LIMIT ?) i ORDER BY i.id
    SQL;

    /**
     * @param  list<int>  $rows  ids of items on the order
     * @param  ?int  $next  the id of the item with which the next part begins; null: this is the last
     * @param  int  $items  how many items the order names in all
     */
    private function __construct(public array $rows, public ?int $next, public int $items) {}

    /** @param  int  $from  the id of the item on the order with which it begins; 0: the first */
    public static function from(ChangeOrder $order, int $from): self
    {
        [$mostLines, $mostItems] = $from === 0 ? self::FIRST : self::MORE;
        $rows = [];
        $lines = 0;
        $next = null;
        foreach (DB::select(self::LINES, [$order->id, $from, $mostItems + 1]) as $row) {
            if ($rows !== [] && ($lines + $row->lines > $mostLines || count($rows) === $mostItems)) {
                $next = $row->id;

                break;
            }
            $rows[] = $row->id;
            $lines += $row->lines;
        }

        return new self($rows, $next, DB::table('change_order_items')->where('order_id', $order->id)->count());
    }

    /** @param  list<string>  $numbers  of items */
    public static function of(ChangeOrder $order, array $numbers): self
    {
        $rows = OrderItem::query()
            ->where('order_id', $order->id)
            ->whereHas('item', static fn(Builder $item): Builder => $item->whereIn('number', $numbers))
            ->orderBy('id')
            ->get(['id'])
            ->modelKeys();

        return new self(array_map(intval(...), $rows), null, count($rows));
    }
}
