<?php

declare(strict_types=1);

namespace App\Structures;

use App\Days\Today;
use App\Structures\Data\ItemRow;
use Illuminate\Support\Facades\DB;

/** Reads many items as rows of a table in one question, without a model for each. */
final readonly class ItemRows
{
    private const SQL = "
        SELECT i.id, i.number, i.title, i.kind, i.unit, i.sold, i.standard_cost, c.name AS category,
            (SELECT json_agg(json_build_array(r.code, r.status, r.effective_from, r.effective_to)) FROM revisions r
                WHERE r.item_id = i.id AND r.status NOT IN ('in_work', 'in_review')) AS revisions,
            (SELECT string_agg(o.number, ',' ORDER BY o.order_id) FROM revising_orders o WHERE o.item_id = i.id) AS revised_by,
            (SELECT p.file_id FROM item_pictures p WHERE p.item_id = i.id) AS picture
        FROM items i JOIN categories c ON c.id = i.category_id";

    /**
     * @param  list<int>  $ids
     * @return array<int, ItemRow> by id
     */
    public static function byId(array $ids): array
    {
        $rows = [];
        $today = Today::day();
        foreach ($ids === [] ? [] : DB::select(self::SQL . ' WHERE i.id = ANY (?::bigint[])', ['{' . implode(',', $ids) . '}']) as $row) {
            $rows[$row->id] = ItemRow::read($row, $today);
        }

        return $rows;
    }

    /**
     * @param  list<string>  $numbers
     * @return array<string, ItemRow> by number
     */
    public static function byNumber(array $numbers): array
    {
        $rows = [];
        $today = Today::day();
        foreach (
            $numbers === []
                ? []
                : DB::select(self::SQL . ' WHERE i.number IN (SELECT jsonb_array_elements_text(?::jsonb))', [
                    json_encode($numbers, JSON_THROW_ON_ERROR),
                ])
            as $row
        ) {
            $rows[$row->number] = ItemRow::read($row, $today);
        }

        return $rows;
    }
}
