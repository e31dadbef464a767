<?php

declare(strict_types=1);

namespace App\Orders\Paths;

use App\Ledger\Act;
use App\People\Events\AbsenceSet;
use App\People\Events\GroupSet;
use App\People\Events\PersonSet;
use App\People\Events\RoleSet;

/** Who can sign an order changes with groups, with who is away, with people and with what their roles allow. */
final readonly class KeepActorsUpToDate
{
    public function __construct(private KeptActors $actors) {}

    public function handle(Act $act): void
    {
        if ($act instanceof AbsenceSet || $act instanceof GroupSet || $act instanceof PersonSet || $act instanceof RoleSet) {
            $this->actors->keepAll();
        }
    }
}
