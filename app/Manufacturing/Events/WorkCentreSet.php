<?php

declare(strict_types=1);

namespace App\Manufacturing\Events;

use App\Ledger\Deed;

/** A work centre is renamed, costs another rate, or is retired. */
final readonly class WorkCentreSet extends Deed
{
    public const NAME = 'work_centre.set';

    public function __construct(string $by, string $of, public string $name, public string $rate, public bool $retired)
    {
        parent::__construct($by, $of);
    }
}
