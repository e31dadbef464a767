<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** Several items are taken off an order by one act. */
final readonly class OrderItemsTakenOff extends Deed
{
    public const NAME = 'order.items_taken_off';

    /** @param  list<string>  $items  numbers */
    public function __construct(string $by, string $of, public array $items)
    {
        parent::__construct($by, $of);
    }
}
