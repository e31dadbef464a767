<?php

declare(strict_types=1);

namespace App\Structures;

use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Structure\Line;

/** The revisions that lines name, in the database. */
final readonly class PinnedRevisions
{
    /**
     * @param  iterable<Line>  $lines
     * @param  bool  $alsoComing  also those in review: a release refers to what it releases with it
     * @return array<string, int> revision id by what Line::below says, of those that are released or have been
     */
    public static function ids(iterable $lines, bool $alsoComing = false): array
    {
        $named = [];
        foreach ($lines as $line) {
            if ($line->revision !== null) {
                $named[$line->below()] = [$line->component, $line->revision];
            }
        }

        return self::named(array_values($named), $alsoComing);
    }

    /**
     * @param  list<array{string, string}>  $named  item numbers and codes
     * @return array<string, int> the same
     */
    public static function named(array $named, bool $alsoComing = false): array
    {
        if ($named === []) {
            return [];
        }
        $ids = [];
        foreach (
            DB::select(
                "SELECT i.number, r.code, r.id FROM jsonb_array_elements(?::jsonb) AS named
            JOIN items i ON i.number = named ->> 0 JOIN revisions r ON r.item_id = i.id AND r.code = named ->> 1
            WHERE r.status <> 'in_work' AND (r.status <> 'in_review' OR ?)",
                [json_encode($named, JSON_THROW_ON_ERROR), $alsoComing],
            )
            as $row
        ) {
            $ids[Line::pinned($row->number, $row->code)] = $row->id;
        }

        return $ids;
    }
}
