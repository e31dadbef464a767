<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** The items of an order are open for work. */
final readonly class OrderOpened extends Deed
{
    public const NAME = 'order.opened';
}
