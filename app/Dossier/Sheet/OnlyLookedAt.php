<?php

declare(strict_types=1);

namespace App\Dossier\Sheet;

use App\Dossier\Sheet\Data\RaisedFromSheet;

/** Takes the order back that was raised to find out what a sheet would do. */
final class OnlyLookedAt extends \RuntimeException
{
    public function __construct(public readonly RaisedFromSheet $outcome)
    {
        parent::__construct('Nothing is to stay of this.');
    }
}
