<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Data\IterationRow;
use App\Orders\Models\Iteration;
use App\Orders\Models\WorkRecord;
use App\Structures\RevisionSequences;

/** How saved work reads: C.1, C.2, and what it is called now; also where all that was done has been undone. */
final readonly class IterationRows
{
    public function __construct(private RevisionSequences $sequences) {}

    /** What the work is called now; null: nothing was begun. */
    public function working(?WorkRecord $work): ?string
    {
        return $work === null ? null : $this->name($work, $work->iterations->count() + 1);
    }

    /** @return list<IterationRow> newest first */
    public function of(?WorkRecord $work): array
    {
        return $work === null
            ? []
            : $work->iterations
                ->toBase()
                ->map(
                    fn(Iteration $one): IterationRow => new IterationRow(
                        number: $one->number,
                        name: $this->name($work, $one->number),
                        note: $one->note,
                        by: $one->person->name,
                        at: $one->saved_at->toIso8601String(),
                        edits: count($one->edits),
                    ),
                )
                ->values()
                ->all();
    }

    private function name(WorkRecord $work, int $number): string
    {
        $base = $work->base;

        return $this->sequences->of($work->row->item)->working($base?->status->isFrozen() === true ? $base->code : null, $number);
    }
}
