<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** The last task of an order is done. */
final readonly class OrderClosed extends Deed
{
    public const NAME = 'order.closed';
}
