<?php

declare(strict_types=1);

namespace App\Orders\Sheet;

use App\Orders\Sheet\Data\SheetOutcome;

/** Takes everything back that was done to find out what a sheet would do. */
final class OnlyLookedAt extends \RuntimeException
{
    public function __construct(public readonly SheetOutcome $outcome)
    {
        parent::__construct('Nothing is to stay of this.');
    }
}
