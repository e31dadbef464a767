<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Data\IterationRow;
use App\Orders\Models\Iteration;
use App\Orders\Models\WorkRecord;
use Orthotaxis\Core\Change\Base;

/** How saved work reads: C.1, C.2, and what it is called now. */
final readonly class IterationRows
{
    /** What the work is called now; null: nothing was begun. */
    public static function working(?WorkRecord $work, ?Base $base): ?string
    {
        return $work === null || $base === null ? null : $base->sequence->working($base->revision, $work->iterations->count() + 1);
    }

    /** @return list<IterationRow> newest first */
    public static function of(?WorkRecord $work, ?Base $base): array
    {
        return $work === null || $base === null
            ? []
            : $work->iterations
                ->toBase()
                ->map(
                    static fn(Iteration $one): IterationRow => new IterationRow(
                        number: $one->number,
                        name: $base->sequence->working($base->revision, $one->number),
                        note: $one->note,
                        by: $one->person->name,
                        at: $one->saved_at->toIso8601String(),
                        edits: count($one->edits),
                    ),
                )
                ->values()
                ->all();
    }
}
