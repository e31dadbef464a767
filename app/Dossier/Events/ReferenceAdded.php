<?php

declare(strict_types=1);

namespace App\Dossier\Events;

use App\Ledger\Deed;

/** A change refers to a record of another process. */
final readonly class ReferenceAdded extends Deed
{
    public const NAME = 'change.reference_added';

    public function __construct(string $by, string $of, public string $kind, public string $number, public string $address)
    {
        parent::__construct($by, $of);
    }
}
