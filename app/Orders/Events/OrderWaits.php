<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** An order would have gone to review by itself, and something else was missing. */
final readonly class OrderWaits extends Deed
{
    public const NAME = 'order.waits';

    public function __construct(string $by, string $of, public string $reason)
    {
        parent::__construct($by, $of);
    }
}
