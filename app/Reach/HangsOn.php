<?php

declare(strict_types=1);

namespace App\Reach;

use App\Requests\Models\ChangeRequest;
use App\Tables\Quoted;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Impact\ReachReason;
use Orthotaxis\Core\Report\ReportState;

/**
 * What hangs on items without being above them: drawings and documents, operations and tools, other open changes.
 *
 * @phpstan-type Found array{reason: ReachReason, subject: string, item: ?int, number: string, title: string, why: string, level: int,
 *     via: int}
 */
final readonly class HangsOn
{
    /**
     * @param  list<int>  $affected  ids
     * @param  list<int>  $parents  ids of their direct parents
     * @return list<Found>
     */
    public static function documents(array $affected, array $parents): array
    {
        return array_values(
            array_map(
                static fn(\stdClass $row): array => [
                    'reason' => ReachReason::Document,
                    'subject' => "document {$row->document}",
                    'item' => $row->id,
                    'number' => $row->document,
                    'title' => $row->title,
                    'why' =>
                        ($row->kind === 'drawing' ? 'Shows ' : 'Describes ') .
                        $row->number .
                        ($row->code === null ? '' : ", revision {$row->code}"),
                    'level' => $row->affected ? 0 : 1,
                    'via' => $row->item_id,
                ],
                DB::select(
                    'SELECT DISTINCT ON (d.number) d.id, d.number AS document, d.title, d.kind, i.number, i.id AS item_id, r.code, i.id = ANY (?::bigint[]) AS affected
            FROM item_documents l JOIN items d ON d.id = l.document_id JOIN items i ON i.id = l.item_id LEFT JOIN revisions r ON r.id = l.shows_revision_id
            WHERE l.item_id = ANY (?::bigint[]) ORDER BY d.number, 8 DESC, i.number',
                    [self::list($affected), self::list([...$affected, ...$parents])],
                ),
            ),
        );
    }

    /**
     * Plants that build some items, or use them in what they build, as they work on the day.
     *
     * @param  list<int>  $affected  ids
     * @return list<Found>
     */
    public static function plants(array $affected, Day $day): array
    {
        return array_values(
            array_map(
                static fn(\stdClass $row): array => [
                    'reason' => ReachReason::Plant,
                    'subject' => "plant {$row->plant}",
                    'item' => null,
                    'number' => $row->plant,
                    'title' => $row->name ?? '',
                    'why' => implode(
                        '; ',
                        array_filter([
                            $row->builds === null ? '' : "Builds {$row->builds}",
                            $row->uses === 0 ? '' : "Uses it in what it builds: {$row->uses} " . ($row->uses === 1 ? 'item' : 'items'),
                        ]),
                    ),
                    'level' => $row->builds === null ? 1 : 0,
                    'via' => $row->via,
                ],
                DB::select(
                    "WITH built AS NOT MATERIALIZED (
                        SELECT c.id, c.item_id, c.plant, c.code FROM contents c WHERE c.kind = 'manufacturing'
                        AND c.status IN ('released', 'superseded', 'obsolete') AND daterange(c.effective_from, c.effective_to) @> ?::date),
                    touched AS (
                        SELECT b.plant, b.item_id, b.code, NULL::bigint AS used_in FROM built b WHERE b.item_id = ANY (?::bigint[])
                        UNION SELECT b.plant, l.component_id, NULL, b.item_id FROM structure_lines l JOIN built b ON b.id = l.content_id
                            WHERE l.component_id = ANY (?::bigint[])
                        UNION SELECT b.plant, m.item_id, NULL, b.item_id FROM operation_items m JOIN built b ON b.id = m.content_id
                            WHERE m.item_id = ANY (?::bigint[]))
                    SELECT t.plant, s.name, min(t.item_id) AS via, count(DISTINCT t.used_in) AS uses,
                        string_agg(DISTINCT i.number || ' by ' || t.code, ', ' ORDER BY i.number || ' by ' || t.code) AS builds
                    FROM touched t JOIN items i ON i.id = t.item_id LEFT JOIN choices s ON s.list = 'site' AND s.code = t.plant
                    GROUP BY t.plant, s.name ORDER BY t.plant",
                    [(string) $day, self::list($affected), self::list($affected), self::list($affected)],
                ),
            ),
        );
    }

    /**
     * Operations that use an item, be it used up there, a tool or a document, as plants work on the day; with the tools and documents of
     * these operations.
     *
     * @param  list<int>  $affected  ids
     * @return list<Found>
     */
    public static function operations(array $affected, Day $day): array
    {
        $found = [];
        foreach (
            DB::select(
                "WITH of AS (SELECT ?::date AS day),
            applying AS NOT MATERIALIZED (
                SELECT l.*, r.plant, r.item_id FROM of, structure_lines l JOIN contents r ON r.id = l.content_id
                WHERE r.kind = 'manufacturing' AND l.operation IS NOT NULL AND r.status IN ('released', 'superseded', 'obsolete')
                AND r.effective_from <= of.day AND coalesce(r.effective_to, 'infinity') > of.day
                AND coalesce(l.valid_from, '-infinity') <= of.day AND coalesce(l.valid_to, 'infinity') > of.day),
            used AS (
                SELECT DISTINCT l.content_id, l.item_id, l.plant, l.operation,
                    c.number || CASE WHEN l.by_product THEN ' (comes out)' ELSE '' END AS component, c.id AS component_id FROM applying l JOIN items c ON c.id = l.component_id
                WHERE l.component_id = ANY (?::bigint[])
                UNION SELECT p.content_id, r.item_id, r.plant, p.number, i.number, i.id FROM of, operation_items m
                    JOIN operations p ON p.content_id = m.content_id AND p.key = m.operation_key JOIN contents r ON r.id = p.content_id
                    JOIN items i ON i.id = m.item_id
                    WHERE m.item_id = ANY (?::bigint[]) AND r.status IN ('released', 'superseded', 'obsolete')
                    AND r.effective_from <= of.day AND coalesce(r.effective_to, 'infinity') > of.day)
            SELECT p.number, p.title, u.plant, u.operation, string_agg(DISTINCT u.component, ', ' ORDER BY u.component) AS components, min(u.component_id) AS via,
                min(o.title) AS name,
                (SELECT json_agg(json_build_array(n.reason, t.id, t.number, t.title) ORDER BY n.reason DESC, t.number) FROM (
                    SELECT 'tool' AS reason, l.component_id AS id FROM applying l JOIN items i ON i.id = l.component_id AND i.kind = 'tool'
                        WHERE l.content_id = u.content_id AND l.operation = u.operation
                    UNION SELECT CASE m.role WHEN 'tool' THEN 'tool' ELSE 'document' END, m.item_id FROM operations p JOIN operation_items m
                        ON m.content_id = p.content_id AND m.operation_key = p.key WHERE p.content_id = u.content_id AND p.number = u.operation
                ) n JOIN items t ON t.id = n.id) AS named
            FROM used u JOIN items p ON p.id = u.item_id LEFT JOIN operations o ON o.content_id = u.content_id AND o.number = u.operation
            GROUP BY p.number, p.title, u.content_id, u.plant, u.operation ORDER BY p.number, u.plant, u.operation",
                [(string) $day, self::list($affected), self::list($affected)],
            )
            as $row
        ) {
            $place = "{$row->number} at {$row->plant}";
            $found[] = [
                'reason' => ReachReason::Operation,
                'subject' => "operation {$row->operation} {$row->number} {$row->plant}",
                'item' => null,
                'number' => $row->number,
                'title' => "Operation {$row->operation}, {$row->plant}: {$row->title}" . ($row->name === null ? '' : " ({$row->name})"),
                'why' => "Uses {$row->components}",
                'level' => 1,
                'via' => $row->via,
            ];
            /** @var list<array{string, int, string, string}> $named */
            $named = json_decode($row->named ?? '[]', true, flags: JSON_THROW_ON_ERROR);
            foreach ($named as [$reason, $id, $number, $title]) {
                $found[] = [
                    'reason' => ReachReason::from($reason),
                    'subject' => "{$reason} {$number}",
                    'item' => $id,
                    'number' => $number,
                    'title' => $title,
                    'why' => "Used at operation {$row->operation} of {$place}",
                    'level' => 1,
                    'via' => $row->via,
                ];
            }
        }

        return $found;
    }

    /**
     * @param  list<int>  $affected  ids
     * @param  list<int>  $above  ids of all that is above them
     * @return list<Found>
     */
    public static function openChanges(ChangeRequest $request, array $affected, array $above): array
    {
        $known = [$request->number, ...$request->orders->pluck('number')->all(), ...$request->gathered->pluck('number')->all()];
        $reports = $request->reports->pluck('number')->all();
        // First what is open, which is little, then whether it is reached: all that is reached may be most of the items.
        [$orders, $closed, $reported] = array_map(Quoted::cases(...), [OrderState::open(), RequestState::closed(), ReportState::open()]);
        $open = "SELECT number, title, 'Order' AS type, item_id FROM change_order_items n JOIN change_orders c ON c.id = n.order_id AND c.state IN {$orders}
            UNION ALL SELECT number, title, 'Request', item_id FROM change_request_items n JOIN change_requests c ON c.id = n.request_id AND c.state NOT IN {$closed}
            UNION ALL SELECT number, title, 'Report', item_id FROM problem_report_items n JOIN problem_reports c ON c.id = n.report_id AND c.state IN {$reported}";

        $isAffected = array_fill_keys($affected, true);
        $isReached = $isAffected + array_fill_keys($above, true);
        $found = [];
        foreach (
            DB::select(
                "WITH o AS MATERIALIZED ({$open}) SELECT o.number, o.title, o.type, o.item_id, i.number AS item FROM o JOIN items i ON i.id = o.item_id
            WHERE NOT o.number = ANY (?::text[]) ORDER BY o.number, i.number",
                ['{' . implode(',', [...$known, ...$reports]) . '}'],
            )
            as $row
        ) {
            if (!isset($isReached[$row->item_id])) {
                continue;
            }
            $found[$row->number] ??= [
                'reason' => ReachReason::OpenChange,
                'subject' => "change {$row->number}",
                'item' => null,
                'number' => $row->number,
                'title' => $row->title,
                'why' => '',
                'level' => 1,
                'via' => $row->item_id,
            ];
            $named = ($found[$row->number]['why'] === '' ? "{$row->type} that names " : "{$found[$row->number]['why']}, ") . $row->item;
            // Five are enough to know it by.
            $found[$row->number]['why'] = substr_count($named, ', ') < 5 ? $named : $found[$row->number]['why'];
            if (isset($isAffected[$row->item_id])) {
                $found[$row->number]['level'] = 0;
            }
        }

        return array_values($found);
    }

    /** @param  list<int>  $ids */
    private static function list(array $ids): string
    {
        return '{' . implode(',', $ids) . '}';
    }
}
