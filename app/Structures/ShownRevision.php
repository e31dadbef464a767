<?php

declare(strict_types=1);

namespace App\Structures;

use Orthotaxis\Core\Calendar\Day;

/** What core/Revision/InForce says of one item, as a part of a question about many of them: to sort, filter and export by. */
final readonly class ShownRevision
{
    private const RELEASED = "r.status NOT IN ('in_work', 'in_review')";

    /** The code of the revision that stands for an item on a day: in force, or else the next to come, or else the last that was. */
    public static function code(Day $day, string $item = 'items.id'): string
    {
        return "(SELECT r.code FROM revisions r WHERE r.item_id = {$item} AND " .
            self::RELEASED .
            ' ORDER BY NOT ' .
            self::holds($day) .
            ", r.effective_from <= '{$day}', abs(r.effective_from - '{$day}'::date) LIMIT 1)";
    }

    /** Whether a revision of the item is in force on a day. */
    public static function inForce(Day $day): string
    {
        return self::some(self::holds($day));
    }

    /** Whether a revision of the item is released and comes after a day. */
    public static function comes(Day $day): string
    {
        return self::some("r.effective_from > '{$day}'");
    }

    public static function wasEver(): string
    {
        return self::some('true');
    }

    private static function holds(Day $day): string
    {
        return "(r.effective_from <= '{$day}' AND (r.effective_to IS NULL OR r.effective_to > '{$day}'))";
    }

    private static function some(string $condition): string
    {
        return 'EXISTS (SELECT 1 FROM revisions r WHERE r.item_id = items.id AND ' . self::RELEASED . " AND {$condition})";
    }
}
