<?php

declare(strict_types=1);

namespace App\Verification;

/**
 * What holds here today or will, written as planning's copy is. The database writes it, so that a million rows need no million objects; a
 * test holds it to what hand-overs say.
 */
final readonly class HeldRows
{
    /** Data of an item as they were before any order changed them are not handed over: planning has its own. */
    public const HOLDS = "c.kind IN ('engineering', 'manufacturing', 'item_data') AND c.status IN ('released', 'superseded', 'obsolete')
        AND (c.effective_to IS NULL OR c.effective_to > :today) AND (c.kind <> 'item_data' OR c.order_id IS NOT NULL)";

    private const ROWS = <<<'SQL'
    WITH c AS MATERIALIZED (
        SELECT c.id, c.effective_from, c.kind || E'\t' || c.plant || E'\t' || i.number || E'\t' || c.code || E'\t' AS subject
        FROM contents c JOIN items i ON i.id = c.item_id WHERE %s
    ), rows AS (
        SELECT c.id, c.subject || E'\t\t\t\t' || jsonb_strip_nulls(jsonb_build_object('effectiveFrom', c.effective_from::text,
            'batch', CASE WHEN EXISTS (SELECT FROM operations o WHERE o.content_id = c.id) THEN trim_scale(r.batch / 1000000.0)::text END))::text AS line
        FROM c LEFT JOIN routings r ON r.content_id = c.id
        UNION ALL
        SELECT c.id, c.subject || E'line\t' || l.find || E'\t' || i.number || E'\t' || coalesce(l.valid_from::text, '') || E'\t'
            || jsonb_strip_nulls(jsonb_build_object('quantity', trim_scale(l.quantity / 1000000.0)::text, 'unit', l.unit, 'designators', nullif(l.designators, ''),
                'componentRevision', p.code, 'phantom', CASE WHEN l.phantom THEN 'yes' END, 'byProduct', CASE WHEN l.by_product THEN 'yes' END,
                'lastDay', (l.valid_to - 1)::text, 'operation', l.operation::text,
                'scrap', CASE WHEN l.scrap > 0 THEN trim_scale(l.scrap / 10000.0)::text END))::text
        FROM c JOIN structure_lines l ON l.content_id = c.id JOIN items i ON i.id = l.component_id LEFT JOIN revisions p ON p.id = l.pinned_id
        UNION ALL
        SELECT c.id, c.subject || E'operation\t' || o.number || E'\t\t\t' || jsonb_strip_nulls(jsonb_build_object('operationTitle', o.title,
            'workCentre', nullif(o.work_centre, ''), 'setUp', CASE WHEN o.supplier = '' THEN trim_scale(o.set_up / 1000.0)::text END,
            'run', CASE WHEN o.supplier = '' THEN trim_scale(o.run / 1000.0)::text END, 'runPer', CASE WHEN o.supplier = '' THEN o.per END,
            'supplier', nullif(o.supplier, ''), 'cost', trim_scale(o.cost / 10000.0)::text, 'leadTime', o.lead_time::text))::text
        FROM c JOIN operations o ON o.content_id = c.id
        UNION ALL
        SELECT c.id, c.subject || E'field\t' || d.field || E'\t\t\t' || jsonb_build_object('value',
            CASE WHEN d.value ~ '^\d+\.\d+$' THEN trim_scale(d.value::numeric)::text ELSE d.value END)::text
        FROM c JOIN item_data d ON d.content_id = c.id
    )
    SQL;

    /** "c", the contents that are chosen, and "rows", the lines of each: id of the content, and line. */
    public static function of(string $which): string
    {
        return sprintf(self::ROWS, $which);
    }
}
