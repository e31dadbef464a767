<?php

declare(strict_types=1);

namespace App\Manufacturing\Actions;

use App\Ledger\Ledger;
use App\Orders\Actions\TurnWork;
use App\Orders\Models\WorkRecord;
use App\People\Models\Person;

/** Takes the last edit at a plant back, or makes it again. */
final readonly class TurnBuilt
{
    public function __construct(private TurnWork $turn, private Ledger $ledger) {}

    public function undo(Person $by, string $order, string $item, string $plant): WorkRecord
    {
        return $this->ledger->together(function () use ($by, $order, $item, $plant): WorkRecord {
            $work = BuiltWork::hold($by, $order, $item, $plant, null);
            $this->turn->undo($by, $work);

            return $work;
        });
    }

    public function redo(Person $by, string $order, string $item, string $plant): WorkRecord
    {
        return $this->ledger->together(function () use ($by, $order, $item, $plant): WorkRecord {
            $work = BuiltWork::hold($by, $order, $item, $plant, null);
            $this->turn->redo($by, $work);

            return $work;
        });
    }
}
