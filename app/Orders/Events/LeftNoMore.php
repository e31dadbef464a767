<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** What belongs to an item on an order is to be decided on anew. */
final readonly class LeftNoMore extends Deed
{
    public const NAME = 'order.left_no_more';

    public function __construct(string $by, string $of, public string $item, public string $other)
    {
        parent::__construct($by, $of);
    }
}
