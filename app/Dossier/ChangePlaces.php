<?php

declare(strict_types=1);

namespace App\Dossier;

use App\People\PlacesOfChanges;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Rights\Place;

/**
 * What changes and items concern: the site from which a report or request came, the plants whose structures an order changes, those that
 * build what is named, and the categories of that with all above them.
 */
final readonly class ChangePlaces implements PlacesOfChanges
{
    private const SITES = "
        SELECT number, 'plant' AS kind, site AS code FROM problem_reports WHERE number IN (SELECT number FROM subject)
        UNION SELECT number, 'plant', site FROM change_requests WHERE number IN (SELECT number FROM subject)
        UNION SELECT o.number, 'plant', r.site FROM change_orders o
            JOIN change_order_requests l ON l.order_id = o.id JOIN change_requests r ON r.id = l.request_id
            WHERE o.number IN (SELECT number FROM subject)
        UNION SELECT o.number, 'plant', w.plant FROM change_orders o
            JOIN change_order_items i ON i.order_id = o.id JOIN works w ON w.order_item_id = i.id
            WHERE w.plant <> '' AND o.number IN (SELECT number FROM subject)";

    private const NAMED = '
        SELECT r.number, i.item_id FROM problem_reports r JOIN problem_report_items i ON i.report_id = r.id
            WHERE r.number IN (SELECT number FROM subject)
        UNION SELECT r.number, i.item_id FROM change_requests r JOIN change_request_items i ON i.request_id = r.id
            WHERE r.number IN (SELECT number FROM subject)
        UNION SELECT o.number, i.item_id FROM change_orders o JOIN change_order_items i ON i.order_id = o.id
            WHERE o.number IN (SELECT number FROM subject)
        UNION SELECT number, id FROM items WHERE number IN (SELECT number FROM subject)';

    private const FOUND =
        'WITH RECURSIVE asked (number) AS (SELECT jsonb_array_elements_text(?::jsonb)),
            -- A task, a change notice and a form concern what their change does.
            about (asked, number) AS (
                SELECT number, number FROM asked
                UNION SELECT t.number, t.change FROM tasks t WHERE t.number IN (SELECT number FROM asked)
                UNION SELECT n.number, o.number FROM change_notices n JOIN change_orders o ON o.id = n.order_id
                    WHERE n.number IN (SELECT number FROM asked)
                UNION SELECT f.number, r.number FROM handed_forms f JOIN change_requests r ON r.id = f.request_id
                    WHERE f.number IN (SELECT number FROM asked)
            ),
            subject AS (SELECT DISTINCT number FROM about),
            named AS (' .
        self::NAMED .
        '),
            above (number, id) AS (
                SELECT n.number, i.category_id FROM named n JOIN items i ON i.id = n.item_id
                UNION SELECT a.number, c.parent_id FROM above a JOIN categories c ON c.id = a.id WHERE c.parent_id IS NOT NULL
            ),
            found AS (' .
        self::SITES .
        "
                UNION SELECT n.number, 'plant', c.plant FROM named n JOIN contents c ON c.item_id = n.item_id AND c.kind = 'manufacturing'
                UNION SELECT a.number, 'category', c.code FROM above a JOIN categories c ON c.id = a.id
            )
        SELECT DISTINCT b.asked, f.kind, f.code FROM about b JOIN found f ON f.number = b.number ORDER BY 1, 2, 3";

    public function of(array $numbers): array
    {
        $places = [];
        foreach (DB::select(self::FOUND, [json_encode($numbers, JSON_THROW_ON_ERROR)]) as $row) {
            $places[(string) $row->asked][(string) $row->kind][] = (string) $row->code;
        }

        return array_map(static fn(array $place): Place => new Place($place['plant'] ?? [], $place['category'] ?? []), $places);
    }
}
