<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** A check of an order counts again. */
final readonly class WaiverWithdrawn extends Deed
{
    public const NAME = 'order.waiver_withdrawn';

    public function __construct(string $by, string $of, public string $check)
    {
        parent::__construct($by, $of);
    }
}
