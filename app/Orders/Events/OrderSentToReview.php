<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** An order is held still and judged. */
final readonly class OrderSentToReview extends Deed
{
    public const NAME = 'order.sent_to_review';
}
