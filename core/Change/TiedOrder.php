<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

use Orthotaxis\Core\Calendar\Day;

/** An order to which another is subordinate, or one that is subordinate to it. */
final readonly class TiedOrder
{
    /** @param  bool  $together  whether both are released in one stroke; else the subordinate one after its parent */
    public function __construct(public string $number, public OrderState $state, public ?Day $effectiveOn, public bool $together) {}

    public function isReleased(): bool
    {
        return $this->state === OrderState::Released || $this->state === OrderState::Closed;
    }
}
