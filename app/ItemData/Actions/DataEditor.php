<?php

declare(strict_types=1);

namespace App\ItemData\Actions;

use App\ItemData\ItemDataContents;
use App\Orders\Models\WorkRecord;
use App\Orders\Subjects\NamedWork;
use App\Orders\Subjects\SubjectEditor;
use App\People\Models\Person;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\ItemData\SetField;

/** Edits what is known of items. */
final readonly class DataEditor implements SubjectEditor
{
    public function __construct(private EditItemData $edits) {}

    public function kind(): string
    {
        return ItemDataContents::NAME;
    }

    public function hold(Person $by, NamedWork $named, ?int $seen): WorkRecord
    {
        return $this->edits->hold($by, $named->order, $named->item, $seen);
    }

    public function keep(WorkRecord $work, Person $by, array $edits): void
    {
        $this->edits->keep(
            $work,
            $by,
            array_map(
                static fn(Edit $edit): SetField => $edit instanceof SetField ? $edit : throw new \LogicException('Items have fields.'),
                $edits,
            ),
        );
    }
}
