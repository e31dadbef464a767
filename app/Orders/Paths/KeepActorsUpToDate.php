<?php

declare(strict_types=1);

namespace App\Orders\Paths;

use App\Ledger\Act;
use App\People\Events\AbsenceSet;
use App\People\Events\GroupSet;

/** Who can sign an order changes with groups and with who is away. */
final readonly class KeepActorsUpToDate
{
    public function __construct(private KeptActors $actors) {}

    public function handle(Act $act): void
    {
        if ($act instanceof AbsenceSet || $act instanceof GroupSet) {
            $this->actors->keepAll();
        }
    }
}
