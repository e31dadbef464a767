<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Manufacturing\Data\OperationUse;
use App\Manufacturing\Data\OperationUses;
use App\Structures\Models\Item;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Quantity\Minutes;

/** Where a tool, a document or a work centre is used in the routings that hold on a day, and where an item comes out as a by-product. */
final readonly class OperationUseReader
{
    public const AT_MOST = 1_000;

    public function ofItem(Item $item, Day $day): OperationUses
    {
        return self::read(
            "JOIN (SELECT content_id, operation_key, NULL AS operation, item_id, role FROM operation_items
                UNION ALL SELECT content_id, NULL, operation, component_id, 'by_product' FROM structure_lines WHERE by_product
            ) m ON m.content_id = o.content_id AND (m.operation_key = o.key OR m.operation = o.number) AND m.item_id = ?",
            'm.role',
            [$item->id],
            $day,
        );
    }

    public function ofWorkCentre(string $plant, string $code, Day $day): OperationUses
    {
        return self::read("JOIN (SELECT 'work_centre' AS role) m ON c.plant = ? AND o.work_centre = ?", 'm.role', [$plant, $code], $day);
    }

    /**
     * @param  string  $uses  what joins an operation to what is used, in SQL
     * @param  list<int|string>  $with
     */
    private static function read(string $uses, string $role, array $with, Day $day): OperationUses
    {
        $rows = DB::select(
            "SELECT i.number AS item, i.title AS name, c.plant, c.code, o.*, {$role} AS role, count(*) OVER () AS total
            FROM operations o JOIN contents c ON c.id = o.content_id {$uses} JOIN items i ON i.id = c.item_id
            WHERE c.status IN ('released', 'superseded', 'obsolete') AND daterange(c.effective_from, c.effective_to) @> ?::date
            ORDER BY i.number, c.plant, o.number, role LIMIT ?",
            [...$with, (string) $day, self::AT_MOST],
        );

        return new OperationUses(
            (string) $day,
            $rows[0]->total ?? 0,
            array_values(
                array_map(
                    static fn(\stdClass $row): OperationUse => new OperationUse(
                        item: $row->item,
                        title: $row->name,
                        plant: $row->plant,
                        revision: $row->code,
                        operation: $row->number,
                        what: $row->title,
                        work_centre: $row->work_centre,
                        role: $row->role,
                        set_up: (string) new Minutes($row->set_up),
                        run: (string) new Minutes($row->run),
                        per: $row->per,
                    ),
                    $rows,
                ),
            ),
        );
    }
}
