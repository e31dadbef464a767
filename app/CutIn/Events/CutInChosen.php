<?php

declare(strict_types=1);

namespace App\CutIn\Events;

use App\Ledger\Deed;

/** A day of cut-in is chosen. */
final readonly class CutInChosen extends Deed
{
    public const NAME = 'request.cut_in_chosen';

    public function __construct(string $by, string $of, public string $on, public string $total, public string $reason)
    {
        parent::__construct($by, $of);
    }
}
