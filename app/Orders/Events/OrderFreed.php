<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** An order is subordinate to none any more. */
final readonly class OrderFreed extends Deed
{
    public const NAME = 'order.freed';

    public function __construct(string $by, string $of, public string $parent)
    {
        parent::__construct($by, $of);
    }
}
