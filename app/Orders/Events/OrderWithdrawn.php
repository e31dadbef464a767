<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** An order is given up. */
final readonly class OrderWithdrawn extends Deed
{
    public const NAME = 'order.withdrawn';

    public function __construct(string $by, string $of, public string $reason)
    {
        parent::__construct($by, $of);
    }
}
