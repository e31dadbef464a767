<?php

declare(strict_types=1);

namespace App\Manufacturing\Events;

use App\Ledger\Deed;

/** A work centre is set up at a plant. */
final readonly class WorkCentreAdded extends Deed
{
    public const NAME = 'work_centre.added';

    public function __construct(string $by, string $of, public string $name, public string $rate)
    {
        parent::__construct($by, $of);
    }
}
