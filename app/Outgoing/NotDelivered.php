<?php

declare(strict_types=1);

namespace App\Outgoing;

use App\Outgoing\Models\Delivery;

/**
 * A message did not arrive, and is not tried again. Told of the first of several in a row alone: whoever puts it right finds the
 * others beside it.
 */
final readonly class NotDelivered
{
    public function __construct(public Delivery $delivery) {}
}
