<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** An order is signed. */
final readonly class OrderSigned extends Deed
{
    public const NAME = 'order.signed';

    public function __construct(string $by, string $of, public string $digest, public ?string $step = null)
    {
        parent::__construct($by, $of);
    }
}
