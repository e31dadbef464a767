<?php

declare(strict_types=1);

namespace App\Manufacturing\Actions;

use App\Manufacturing\BuiltRefusals;
use App\Manufacturing\ManufacturingContents;
use App\Orders\Models\WorkRecord;
use App\Orders\Subjects\EditsTogether;
use App\Orders\Subjects\NamedWork;
use App\People\Models\Person;
use App\Vocabulary\ChoiceList;
use Orthotaxis\Core\Refusal;

/** Edits what plants build. */
final readonly class PlantEditor implements EditsTogether
{
    public function __construct(private BuiltWork $works, private BuiltRefusals $refusals) {}

    public function kind(): string
    {
        return ManufacturingContents::NAME;
    }

    public function hold(Person $by, NamedWork $named, ?int $seen): WorkRecord
    {
        if (!ChoiceList::Site->knows($named->plant)) {
            throw Refusal::at('plant', "There is no plant {$named->plant}.");
        }

        return BuiltWork::hold($by, $named->order, $named->item, $named->plant, $seen);
    }

    public function keep(WorkRecord $work, Person $by, array $edits): void
    {
        $this->works->keep($work, $by, $edits);
    }

    public function refusals(array $all): array
    {
        return $this->refusals->of($all);
    }
}
