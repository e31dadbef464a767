<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** An order that was on hold goes on. */
final readonly class OrderGoesOn extends Deed
{
    public const NAME = 'order.goes_on';

    public function __construct(string $by, string $of, public string $reason, public int $daysMoved)
    {
        parent::__construct($by, $of);
    }
}
