<?php

declare(strict_types=1);

namespace App\People\Events;

use App\Ledger\Deed;

/** Somebody is away, with or without somebody who stands in; or is not away after all. */
final readonly class AbsenceSet extends Deed
{
    public const NAME = 'absence.set';

    public function __construct(string $by, string $of, public string $first, public string $last, public string $deputy, public bool $ends)
    {
        parent::__construct($by, $of);
    }
}
