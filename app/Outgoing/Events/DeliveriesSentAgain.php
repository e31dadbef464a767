<?php

declare(strict_types=1);

namespace App\Outgoing\Events;

use App\Ledger\Deed;

/** Messages that another system did not get are sent again. */
final readonly class DeliveriesSentAgain extends Deed
{
    public const NAME = 'delivery.sent_again';

    public function __construct(string $by, string $of, public int $messages)
    {
        parent::__construct($by, $of);
    }
}
