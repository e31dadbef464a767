<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** A check of an order is let go. */
final readonly class CheckWaived extends Deed
{
    public const NAME = 'order.check_waived';

    public function __construct(string $by, string $of, public string $check, public string $fault, public string $reason)
    {
        parent::__construct($by, $of);
    }
}
