<?php

declare(strict_types=1);

/** The best recursive SQL we can write for each question: every level is added up before the next one is walked. */
final class RecursiveSql
{
    private const HOLDS = "r.status IN ('released', 'superseded', 'obsolete') AND r.effective_from <= current_date AND (r.effective_to IS NULL OR r.effective_to > current_date)
        AND (l.valid_from IS NULL OR l.valid_from <= current_date) AND (l.valid_to IS NULL OR l.valid_to > current_date)";

    public static function whereUsed(int $item): string
    {
        return "WITH RECURSIVE above (item, quantity) AS (
                SELECT {$item}::bigint, 1000000::numeric
                UNION ALL
                SELECT DISTINCT r.item_id, sum(a.quantity * l.quantity / 1000000) OVER (PARTITION BY r.item_id)
                FROM above a JOIN structure_lines l ON l.component_id = a.item JOIN revisions r ON r.id = l.content_id
                WHERE " .
            self::HOLDS .
            "
            ) SELECT item, trunc(sum(quantity))::bigint AS quantity FROM above WHERE item <> {$item} GROUP BY item";
    }

    /** All that is above an item, each with the fewest steps to it. */
    public static function reach(int $item): string
    {
        return "WITH RECURSIVE above (item, level) AS (
                SELECT {$item}::bigint, 0
                UNION
                SELECT r.item_id, a.level + 1 FROM above a JOIN structure_lines l ON l.component_id = a.item JOIN revisions r ON r.id = l.content_id
                WHERE " .
            self::HOLDS .
            "
            ) SELECT item, min(level) AS quantity FROM above WHERE item <> {$item} GROUP BY item";
    }

    public static function explosion(int $item): string
    {
        return "WITH RECURSIVE below (item, quantity) AS (
                SELECT {$item}::bigint, 1000000::numeric
                UNION ALL
                SELECT DISTINCT l.component_id, sum(b.quantity * l.quantity / 1000000) OVER (PARTITION BY l.component_id)
                FROM below b JOIN revisions r ON r.item_id = b.item JOIN structure_lines l ON l.content_id = r.id
                WHERE " .
            self::HOLDS .
            "
            ) SELECT item, trunc(sum(quantity))::bigint AS quantity FROM below WHERE item <> {$item} GROUP BY item";
    }

    /** Lines of paired parents are paired by find number: in the generated pair no identity is shared and no find number moves. */
    public static function comparison(int $left, int $right): string
    {
        $lines = 'SELECT r.item_id, l.* FROM structure_lines l JOIN revisions r ON r.id = l.content_id WHERE ' . self::HOLDS;

        return "WITH RECURSIVE pair (a, b) AS (
                SELECT {$left}::bigint, {$right}::bigint
                UNION
                SELECT x.component_id, y.component_id FROM pair
                JOIN ({$lines}) x ON x.item_id = pair.a JOIN ({$lines}) y ON y.item_id = pair.b AND y.find = x.find
                WHERE x.component_id <> y.component_id
            ), x AS (SELECT pair.a, pair.b, l.* FROM pair JOIN ({$lines}) l ON l.item_id = pair.a),
               y AS (SELECT pair.a, pair.b, l.* FROM pair JOIN ({$lines}) l ON l.item_id = pair.b)
            SELECT x.line_key AS item, y.line_key AS quantity FROM x FULL JOIN y ON (x.a, x.b, x.find) = (y.a, y.b, y.find)
            WHERE (x.component_id, x.quantity, x.unit, x.designators, x.notes) IS DISTINCT FROM (y.component_id, y.quantity, y.unit, y.designators, y.notes)";
    }
}
