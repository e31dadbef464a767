<?php

declare(strict_types=1);

namespace App\Outgoing\Carriers;

use App\Outgoing\Models\Channel;
use App\Outgoing\Models\Delivery;

/** Brings a message to another system, at least once: the receiver knows it again by its name. */
interface Carrier
{
    /**
     * @return string what the receiver said, in short
     *
     * @throws NotCarried
     */
    public function carry(Channel $channel, Delivery $delivery): string;
}
