<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** An order is not released before another. */
final readonly class OrderSubordinated extends Deed
{
    public const NAME = 'order.subordinated';

    public function __construct(string $by, string $of, public string $parent, public bool $together)
    {
        parent::__construct($by, $of);
    }
}
