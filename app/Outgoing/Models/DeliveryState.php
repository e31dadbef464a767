<?php

declare(strict_types=1);

namespace App\Outgoing\Models;

/** How it stands with a message. */
enum DeliveryState: string
{
    case Waiting = 'waiting';
    case Delivered = 'delivered';
    /** The receiver does not want it. */
    case Refused = 'refused';
    /** It was tried often enough. */
    case GivenUp = 'given_up';

    /** Whether it is over, and in vain. */
    public function isUndelivered(): bool
    {
        return $this === self::Refused || $this === self::GivenUp;
    }
}
