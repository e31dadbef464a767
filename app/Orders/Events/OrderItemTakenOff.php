<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** An item is on the order no longer. */
final readonly class OrderItemTakenOff extends Deed
{
    public const NAME = 'order.item_taken_off';

    public function __construct(string $by, string $of, public string $item)
    {
        parent::__construct($by, $of);
    }
}
