<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths;

use App\Ledger\Act;
use App\Paths\Events\ResponsibleSet;
use App\People\Events\AbsenceSet;
use App\People\Events\GroupSet;
use App\People\Events\PersonSet;
use App\People\Events\RoleSet;

/** Who can judge a request changes with groups, with who is away, with people, with what their roles allow and who is responsible. */
final readonly class KeepRequestActorsUpToDate
{
    private const MATTER = [AbsenceSet::class, GroupSet::class, PersonSet::class, ResponsibleSet::class, RoleSet::class];

    public function __construct(private KeptRequestActors $actors) {}

    public function handle(Act $act): void
    {
        if (in_array($act::class, self::MATTER, true)) {
            $this->actors->keepAll();
        }
    }
}
