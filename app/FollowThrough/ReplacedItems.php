<?php

declare(strict_types=1);

namespace App\FollowThrough;

use App\Orders\Models\ChangeOrder;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\FollowThrough\Replaced;

/**
 * What a released order has replaced. A revision that an earlier order replaced is that order's to follow as long as it is not closed; what
 * is left of it then is found under the later one.
 */
final readonly class ReplacedItems
{
    private const REVISIONS = "
        SELECT i.id, i.number, c.code AS comes, c.effective_from AS since, oi.disposition, (
            SELECT json_agg(p.code) FROM revisions p
            WHERE p.item_id = c.item_id AND p.effective_from < c.effective_from AND p.status IN ('superseded', 'obsolete') AND NOT EXISTS (
                SELECT FROM revisions n JOIN change_orders o ON o.id = n.order_id
                WHERE n.item_id = p.item_id AND n.effective_from = p.effective_to AND o.state = 'released' AND o.id <> c.order_id)) AS codes
        FROM revisions c JOIN change_order_items oi ON oi.order_id = c.order_id AND oi.item_id = c.item_id AND oi.outcome = 'revise'
            JOIN items i ON i.id = c.item_id
        WHERE c.order_id = ? AND c.status NOT IN ('in_work', 'in_review') ORDER BY i.number";

    private const RETIRED = "
        SELECT i.id, i.number, c.effective_from AS since, oi.disposition, COALESCE(b.value, '') AS comes
        FROM contents c JOIN item_data r ON r.content_id = c.id AND r.field = 'retired'
            LEFT JOIN item_data b ON b.content_id = c.id AND b.field = 'replaced_by'
            JOIN change_order_items oi ON oi.order_id = c.order_id AND oi.item_id = c.item_id JOIN items i ON i.id = c.item_id
        WHERE c.order_id = ? AND c.kind = 'item_data' AND c.status NOT IN ('in_work', 'in_review') ORDER BY i.number";

    /** @return array<int, Replaced> by item id */
    public static function of(ChangeOrder $order): array
    {
        $replaced = [];
        foreach (DB::select(self::REVISIONS, [$order->id]) as $row) {
            /** @var list<string> $codes */
            $codes = json_decode($row->codes ?? '[]', true, flags: JSON_THROW_ON_ERROR);
            if ($codes !== []) {
                $replaced[(int) $row->id] = self::one($row, $codes);
            }
        }
        foreach (DB::select(self::RETIRED, [$order->id]) as $row) {
            $replaced[(int) $row->id] = self::one($row, null);
        }

        return $replaced;
    }

    /** @param  ?list<string>  $codes */
    private static function one(\stdClass $row, ?array $codes): Replaced
    {
        return new Replaced(
            $row->number,
            $codes,
            Day::parse($row->since),
            $row->comes,
            $row->disposition === null ? null : Disposition::from($row->disposition),
        );
    }
}
