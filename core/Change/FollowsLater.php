<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

use Orthotaxis\Core\Calendar\Day;

/** The decision that a plant takes over what an order changes of an item later: under another order, by a day. */
final readonly class FollowsLater
{
    public function __construct(public string $item, public string $plant, public string $order, public Day $by, public string $reason) {}
}
