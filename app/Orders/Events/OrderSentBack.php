<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** An order is not signed: there is more to do. */
final readonly class OrderSentBack extends Deed
{
    public const NAME = 'order.sent_back';

    public function __construct(string $by, string $of, public string $reason, public ?int $stage = null)
    {
        parent::__construct($by, $of);
    }
}
