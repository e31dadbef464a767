<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Models\EditRecord;
use App\Orders\Models\WorkRecord;
use App\Structures\StructureReader;
use Orthotaxis\Core\Edit\Apply;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Structure;

/** The lines of an item as they were when an iteration was kept. */
final readonly class IterationReader
{
    public function __construct(private StructureReader $structures) {}

    /** @throws Refusal when there is no such iteration */
    public function structure(WorkRecord $work, int $number): Structure
    {
        $iteration =
            $work->iterations()->where('number', $number)->first() ??
            throw Refusal::at('iteration', "There is no iteration {$number} of this work.");
        $edits = $work->edits
            ->whereIn('number', $iteration->edits)
            ->map(static fn(EditRecord $edit): LineEdit => $edit->ofLine())
            ->values()
            ->all();

        return Apply::all($this->structures->ofContent($iteration->base_id), $edits);
    }
}
