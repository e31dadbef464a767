<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Ledger\Ledger;
use App\People\Models\Person;

/** Takes back what was done last to the engineering lines of an item, or does it again. */
final readonly class UndoEdit
{
    public function __construct(private TurnWork $turn, private Ledger $ledger) {}

    public function undo(Person $by, string $number, string $itemNumber): void
    {
        $this->ledger->together(fn() => $this->turn->undo($by, HeldWork::forEditor($by, $number, $itemNumber)));
    }

    public function redo(Person $by, string $number, string $itemNumber): void
    {
        $this->ledger->together(fn() => $this->turn->redo($by, HeldWork::forEditor($by, $number, $itemNumber)));
    }
}
