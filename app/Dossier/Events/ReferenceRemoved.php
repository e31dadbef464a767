<?php

declare(strict_types=1);

namespace App\Dossier\Events;

use App\Ledger\Deed;

/** A change refers to a record of another process no longer. */
final readonly class ReferenceRemoved extends Deed
{
    public const NAME = 'change.reference_removed';

    public function __construct(string $by, string $of, public string $kind, public string $number)
    {
        parent::__construct($by, $of);
    }
}
