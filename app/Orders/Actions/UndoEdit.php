<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Ledger\Ledger;
use App\Orders\Events\EditRedone;
use App\Orders\Events\EditUndone;
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
            $edit->update(['withdrawn_at' => CarbonImmutable::now()]);
            event(new EditUndone($by->login, $number, $itemNumber, $edit->number, $edit->ofLine()->inWords()));
        });
    }

    public function redo(Person $by, string $number, string $itemNumber): void
    {
        $this->ledger->together(function () use ($by, $number, $itemNumber): void {
            $edit =
                HeldWork::forEditor($by, $number, $itemNumber)->edits()->whereNotNull('withdrawn_at')->whereNull('discarded_at')->first() ??
                throw Refusal::at('edits', 'There is nothing to redo.');
            $edit->update(['withdrawn_at' => null]);
            event(new EditRedone($by->login, $number, $itemNumber, $edit->number, $edit->ofLine()->inWords()));
        });
    }
}
