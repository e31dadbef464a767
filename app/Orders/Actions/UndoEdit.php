<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Ledger\Ledger;
use App\Orders\Models\EditRecord;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Refusal;

/** Takes the last edit of an item back, or makes it again. Nothing is deleted: an edit that is taken back stays on record. */
final readonly class UndoEdit
{
    public function __construct(private Ledger $ledger) {}

    public function undo(Person $by, string $number, string $itemNumber): void
    {
        $this->ledger->together(function () use ($by, $number, $itemNumber): void {
            $edit =
                HeldWork::forEditor($by, $number, $itemNumber)
                    ->edits()
                    ->reorder()
                    ->whereNull('withdrawn_at')
                    ->orderByDesc('number')
                    ->first() ?? throw Refusal::at('edits', 'There is nothing to undo.');
            $this->mark($edit, CarbonImmutable::now(), $by, $number, $itemNumber, 'structure.undone');
        });
    }

    public function redo(Person $by, string $number, string $itemNumber): void
    {
        $this->ledger->together(function () use ($by, $number, $itemNumber): void {
            $edit =
                HeldWork::forEditor($by, $number, $itemNumber)->edits()->whereNotNull('withdrawn_at')->whereNull('discarded_at')->first() ??
                throw Refusal::at('edits', 'There is nothing to redo.');
            $this->mark($edit, null, $by, $number, $itemNumber, 'structure.redone');
        });
    }

    private function mark(EditRecord $edit, ?CarbonImmutable $withdrawnAt, Person $by, string $number, string $item, string $act): void
    {
        $edit->update(['withdrawn_at' => $withdrawnAt]);
        $this->ledger->record($by->login, $act, $number, ['item' => $item, 'edit' => $edit->number, 'what' => $edit->ofLine()->inWords()]);
    }
}
