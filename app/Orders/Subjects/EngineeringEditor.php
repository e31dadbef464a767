<?php

declare(strict_types=1);

namespace App\Orders\Subjects;

use App\Orders\Actions\EditStructure;
use App\Orders\Actions\HeldWork;
use App\Orders\Models\WorkRecord;
use App\Orders\Strokes\LineRefusals;
use App\People\Models\Person;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Edit\LineEdit;

/** Edits what engineering declares of items. */
final readonly class EngineeringEditor implements EditsTogether
{
    public function __construct(private EditStructure $edits, private LineRefusals $refusals) {}

    public function kind(): string
    {
        return Subject::ENGINEERING;
    }

    public function hold(Person $by, NamedWork $named, ?int $seen): WorkRecord
    {
        $work = HeldWork::forEditor($by, $named->order, $named->item);
        HeldWork::mustBeSeen($work, $seen);

        return $work;
    }

    public function keep(WorkRecord $work, Person $by, array $edits): void
    {
        $this->edits->keep(
            $work,
            $by,
            array_map(
                static fn(Edit $edit): LineEdit => $edit instanceof LineEdit ? $edit : throw new \LogicException('Engineering has lines.'),
                $edits,
            ),
        );
    }

    public function refusals(array $all): array
    {
        return $this->refusals->of($all);
    }
}
