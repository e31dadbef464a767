<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** What belongs to an item on an order stays as it is. */
final readonly class LeftAsItIs extends Deed
{
    public const NAME = 'order.left_as_it_is';

    public function __construct(
        string $by,
        string $of,
        public string $item,
        public string $other,
        public string $found,
        public string $reason,
    ) {
        parent::__construct($by, $of);
    }
}
