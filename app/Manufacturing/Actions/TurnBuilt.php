<?php

declare(strict_types=1);

namespace App\Manufacturing\Actions;

use App\Ledger\Ledger;
use App\Manufacturing\ManufacturingContents;
use App\Orders\Events\EditRedone;
use App\Orders\Events\EditUndone;
use App\Orders\Models\EditRecord;
use App\Orders\Models\WorkRecord;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Refusal;

/** Takes the last edit at a plant back, or makes it again. Nothing is deleted: an edit that is taken back stays on record. */
final readonly class TurnBuilt
{
    public function __construct(private BuiltWork $works, private ManufacturingContents $contents, private Ledger $ledger) {}

    public function undo(Person $by, string $order, string $item, string $plant): WorkRecord
    {
        return $this->ledger->together(function () use ($by, $order, $item, $plant): WorkRecord {
            $work = $this->works->hold($by, $order, $item, $plant, null);
            $last = $work->holding()->last() ?? throw Refusal::at('edits', 'There is nothing to undo.');
            $last->update(['withdrawn_at' => CarbonImmutable::now()]);
            event(new EditUndone($by->login, $order, (string) $work->subject(), $last->number, $this->inWords($last)));

            return $work;
        });
    }

    public function redo(Person $by, string $order, string $item, string $plant): WorkRecord
    {
        return $this->ledger->together(function () use ($by, $order, $item, $plant): WorkRecord {
            $work = $this->works->hold($by, $order, $item, $plant, null);
            $first =
                $work->edits->whereNotNull('withdrawn_at')->whereNull('discarded_at')->first() ??
                throw Refusal::at('edits', 'There is nothing to redo.');
            $first->update(['withdrawn_at' => null]);
            event(new EditRedone($by->login, $order, (string) $work->subject(), $first->number, $this->inWords($first)));

            return $work;
        });
    }

    private function inWords(EditRecord $edit): string
    {
        return $this->contents->edit($edit->operation, $edit->version, $edit->part, $edit->fields)->inWords();
    }
}
