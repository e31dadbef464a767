<?php

declare(strict_types=1);

namespace App\Orders;

use App\Days\Today;
use App\Orders\Data\OlderUse;
use App\Orders\Data\OlderUses;
use App\Orders\Models\ChangeOrder;
use App\Structures\ItemRows;
use App\Structures\Models\Item;
use App\Tables\Quoted;
use App\Vocabulary\ChangeRow;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\OrderState;

/**
 * Lists the lines and documents that name an older revision of an item than the one released last. While the older one is still
 * in force nothing is wrong with them yet; from the day it ends there is.
 */
final readonly class OlderUseReader
{
    private const LINES = "
        SELECT r.item_id AS holder, l.line_key AS line, l.find, p.code AS revision, p.effective_to AS ends_on, (
            SELECT o.number FROM edits e JOIN works w ON w.id = e.work_id JOIN change_order_items oi ON oi.id = w.order_item_id JOIN change_orders o ON o.id = oi.order_id
            WHERE oi.item_id = r.item_id AND e.part = l.line_key::text AND e.withdrawn_at IS NULL AND (jsonb_exists(e.fields, 'revision') OR e.operation IN ('remove', 'replace'))
                AND o.state IN {editing} ORDER BY o.id DESC LIMIT 1) AS adopted_by
        FROM structure_lines l JOIN revisions r ON r.id = l.content_id AND r.status = 'released' JOIN revisions p ON p.id = l.pinned_id
        WHERE p.item_id = :item AND p.status <> 'released' ORDER BY r.item_id, l.find";

    private const DOCUMENTS = "
        SELECT d.document_id AS holder, '' AS line, NULL AS find, p.code AS revision, p.effective_to AS ends_on, o.number AS adopted_by
        FROM item_documents d JOIN revisions p ON p.id = d.shows_revision_id LEFT JOIN change_orders o ON o.id = d.adopting_order_id
        WHERE d.item_id = :item AND p.status <> 'released' ORDER BY d.document_id";

    public function read(Item $item): OlderUses
    {
        $uses = [];
        $today = Today::day();
        foreach (['line' => self::LINES, 'document' => self::DOCUMENTS] as $what => $sql) {
            foreach (DB::select(strtr($sql, ['{editing}' => Quoted::cases(OrderState::editing())]), ['item' => $item->id]) as $row) {
                $uses[] = [$what, $row];
            }
        }
        $holders = ItemRows::byId(array_values(array_unique(array_map(static fn(array $use): int => $use[1]->holder, $uses))));
        $orders =
            $uses === []
                ? []
                : ChangeOrder::query()
                    ->with(['author', 'actors'])
                    ->where('state', OrderState::Revising->value)
                    ->orderByDesc('id')
                    ->limit(50)
                    ->get()
                    ->all();

        return new OlderUses(
            $item->released?->code,
            array_map(static function (array $use) use ($holders, $today): OlderUse {
                [$what, $row] = $use;
                $last = $row->ends_on === null ? null : Day::parse($row->ends_on)->plusDays(-1);

                return new OlderUse(
                    item: $holders[$row->holder],
                    what: $what,
                    line: $row->line,
                    find: $row->find,
                    revision: $row->revision,
                    last_day: $last === null ? null : (string) $last,
                    ended: $last?->isBefore($today) === true,
                    adopted_by: $row->adopted_by,
                );
            }, $uses),
            array_map(static fn(ChangeOrder $one): ChangeRow => $one->row(), $orders),
        );
    }
}
