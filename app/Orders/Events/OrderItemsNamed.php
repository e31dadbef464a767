<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;
use Orthotaxis\Core\Change\Outcome;

/** Several items are named on an order by one act. */
final readonly class OrderItemsNamed extends Deed
{
    public const NAME = 'order.items_named';

    /** @param  list<string>  $items  numbers */
    public function __construct(string $by, string $of, public array $items, public Outcome $outcome)
    {
        parent::__construct($by, $of);
    }
}
