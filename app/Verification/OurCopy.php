<?php

declare(strict_types=1);

namespace App\Verification;

use Illuminate\Support\Facades\DB;

/**
 * What holds here today or will, written as planning's copy is: the same rows, in the order of their bytes. It is made by the database, so
 * that a million of them need no million objects; a test holds it to what hand-overs say.
 */
final readonly class OurCopy
{
    /** Contents that are compared at a time. */
    private const AT_ONCE = 2_000;

    /** Data of an item as they were before any order changed them are not handed over: planning has its own. */
    private const HOLDS = "c.kind IN ('engineering', 'manufacturing', 'item_data') AND c.status IN ('released', 'superseded', 'obsolete')
        AND (c.effective_to IS NULL OR c.effective_to > :today) AND (c.kind <> 'item_data' OR c.order_id IS NOT NULL)";

    private const ROWS = <<<'SQL'
    WITH c AS MATERIALIZED (
        SELECT c.id, c.effective_from, c.kind || E'\t' || c.plant || E'\t' || i.number || E'\t' || c.code || E'\t' AS subject
        FROM contents c JOIN items i ON i.id = c.item_id WHERE %s
    )
    SELECT count(*) AS rows, string_agg(line, E'\n' ORDER BY line COLLATE "C") AS text FROM (
        SELECT c.subject || E'\t\t\t\t' || jsonb_strip_nulls(jsonb_build_object('effectiveFrom', c.effective_from::text,
            'batch', CASE WHEN EXISTS (SELECT FROM operations o WHERE o.content_id = c.id) THEN trim_scale(r.batch / 1000000.0)::text END))::text AS line
        FROM c LEFT JOIN routings r ON r.content_id = c.id
        UNION ALL
        SELECT c.subject || E'line\t' || l.find || E'\t' || i.number || E'\t' || coalesce(l.valid_from::text, '') || E'\t'
            || jsonb_strip_nulls(jsonb_build_object('quantity', trim_scale(l.quantity / 1000000.0)::text, 'unit', l.unit, 'designators', nullif(l.designators, ''),
                'componentRevision', p.code, 'phantom', CASE WHEN l.phantom THEN 'yes' END, 'byProduct', CASE WHEN l.by_product THEN 'yes' END,
                'lastDay', (l.valid_to - 1)::text, 'operation', l.operation::text,
                'scrap', CASE WHEN l.scrap > 0 THEN trim_scale(l.scrap / 10000.0)::text END))::text
        FROM c JOIN structure_lines l ON l.content_id = c.id JOIN items i ON i.id = l.component_id LEFT JOIN revisions p ON p.id = l.pinned_id
        UNION ALL
        SELECT c.subject || E'operation\t' || o.number || E'\t\t\t' || jsonb_strip_nulls(jsonb_build_object('operationTitle', o.title,
            'workCentre', nullif(o.work_centre, ''), 'setUp', CASE WHEN o.supplier = '' THEN trim_scale(o.set_up / 1000.0)::text END,
            'run', CASE WHEN o.supplier = '' THEN trim_scale(o.run / 1000.0)::text END, 'runPer', CASE WHEN o.supplier = '' THEN o.per END,
            'supplier', nullif(o.supplier, ''), 'cost', trim_scale(o.cost / 10000.0)::text, 'leadTime', o.lead_time::text))::text
        FROM c JOIN operations o ON o.content_id = c.id
        UNION ALL
        SELECT c.subject || E'field\t' || d.field || E'\t\t\t' || jsonb_build_object('value',
            CASE WHEN d.value ~ '^\d+\.\d+$' THEN trim_scale(d.value::numeric)::text ELSE d.value END)::text
        FROM c JOIN item_data d ON d.content_id = c.id
    ) rows
    SQL;

    /** @param  list<string>  $items  numbers */
    public function of(array $items, string $today): CopyPart
    {
        return self::part(
            self::HOLDS . ' AND i.number IN (SELECT jsonb_array_elements_text(:items::jsonb))',
            ['today' => $today, 'items' => json_encode($items, JSON_THROW_ON_ERROR)],
            '',
            null,
        );
    }

    /**
     * All of it, in parts that follow each other without a gap; each is read when it comes to it.
     *
     * @return list<\Closure(): CopyPart>
     */
    public function parts(string $today): array
    {
        $begins = DB::select(
            'SELECT kind, plant, number FROM (SELECT c.kind, c.plant, i.number,
                row_number() OVER (PARTITION BY c.kind, c.plant ORDER BY i.number COLLATE "C") - 1 AS place
                FROM contents c JOIN items i ON i.id = c.item_id WHERE ' .
                self::HOLDS .
                ') p WHERE place % ' .
                self::AT_ONCE .
                ' = 0 ORDER BY kind COLLATE "C", plant COLLATE "C", number COLLATE "C"',
            ['today' => $today],
        );
        $parts = [];
        foreach ($begins as $at => $one) {
            $next = $begins[$at + 1] ?? null;
            $same = $next !== null && $next->kind === $one->kind && $next->plant === $one->plant;
            $parts[] = static fn(): CopyPart => self::part(
                self::HOLDS .
                    ' AND c.kind = :kind AND c.plant = :plant AND i.number >= :from COLLATE "C"' .
                    ($same ? ' AND i.number < :before COLLATE "C"' : ''),
                ['today' => $today, 'kind' => $one->kind, 'plant' => $one->plant, 'from' => $one->number] +
                    ($same ? ['before' => $next->number] : []),
                $at === 0 ? '' : "{$one->kind}\t{$one->plant}\t{$one->number}\t",
                $next === null ? null : "{$next->kind}\t{$next->plant}\t{$next->number}\t",
            );
        }

        return $parts === [] ? [static fn(): CopyPart => new CopyPart('', 0, '', null)] : $parts;
    }

    /** @param  array<string, string>  $with */
    private static function part(string $which, array $with, string $from, ?string $before): CopyPart
    {
        $read = DB::selectOne(sprintf(self::ROWS, $which), $with);

        return new CopyPart((string) $read->text, (int) $read->rows, $from, $before);
    }
}
