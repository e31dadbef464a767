<?php

declare(strict_types=1);

namespace App\Orders\Paths;

use App\Ledger\Act;
use App\Paths\Events\ResponsibleSet;
use App\People\Events\AbsenceSet;
use App\People\Events\DutiesSeparated;
use App\People\Events\GroupSet;
use App\People\Events\PersonSet;
use App\People\Events\RoleSet;

/**
 * Who can sign an order changes with groups, with who is away, with people, with what their roles allow and with duties that are
 * kept apart.
 */
final readonly class KeepActorsUpToDate
{
    private const MATTER = [
        AbsenceSet::class,
        DutiesSeparated::class,
        GroupSet::class,
        PersonSet::class,
        ResponsibleSet::class,
        RoleSet::class,
    ];

    public function __construct(private KeptActors $actors) {}

    public function handle(Act $act): void
    {
        if (in_array($act::class, self::MATTER, true)) {
            $this->actors->keepAll();
        }
    }
}
