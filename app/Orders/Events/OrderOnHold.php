<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** Nobody goes on with an order until it is let go on. */
final readonly class OrderOnHold extends Deed
{
    public const NAME = 'order.on_hold';

    public function __construct(string $by, string $of, public string $reason)
    {
        parent::__construct($by, $of);
    }
}
