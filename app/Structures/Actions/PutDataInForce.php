<?php

declare(strict_types=1);

namespace App\Structures\Actions;

use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;

/** Makes the columns of items say what holds on the day, where data were released that begin by then. Doing it twice changes nothing. */
final readonly class PutDataInForce
{
    /**
     * @param  ?list<int>  $items  only these; null: all
     * @return int of how many items something changed
     */
    public static function on(Day $day, ?array $items = null): int
    {
        return DB::affectingStatement(
            "WITH now AS (
                SELECT c.item_id,
                    (max(d.value) FILTER (WHERE d.field = 'standard_cost')::numeric * 10000)::bigint AS standard_cost,
                    (max(d.value) FILTER (WHERE d.field = 'lead_time_days'))::integer AS lead_time_days,
                    max(d.value) FILTER (WHERE d.field = 'supply') AS supply,
                    max(d.value) FILTER (WHERE d.field = 'supplier') AS supplier,
                    max(d.value) FILTER (WHERE d.field = 'material') AS material,
                    (max(d.value) FILTER (WHERE d.field = 'mass_kg')::numeric * 1000000)::bigint AS mass,
                    coalesce(jsonb_object_agg(substr(d.field, 11), d.value) FILTER (WHERE d.field LIKE 'attribute@%'), '{}') AS attributes
                FROM contents c JOIN item_data d ON d.content_id = c.id
                WHERE c.kind = 'item_data' AND c.status IN ('released', 'superseded', 'obsolete')
                    AND daterange(c.effective_from, c.effective_to) @> ?::date AND (?::bigint[] IS NULL OR c.item_id = ANY (?::bigint[]))
                GROUP BY c.item_id
            )
            UPDATE items i SET standard_cost = now.standard_cost, lead_time_days = now.lead_time_days, supply = now.supply,
                supplier = now.supplier, material = now.material, mass = now.mass, attributes = now.attributes
            FROM now WHERE i.id = now.item_id
                AND (i.standard_cost, i.lead_time_days, i.supply, i.supplier, i.material, i.mass, i.attributes)
                IS DISTINCT FROM (now.standard_cost, now.lead_time_days, now.supply, now.supplier, now.material, now.mass, now.attributes)",
            [(string) $day, ...array_fill(0, 2, $items === null ? null : '{' . implode(',', $items) . '}')],
        );
    }
}
