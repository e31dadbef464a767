<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Replacement;

use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;

/** What comes where a component goes. */
final readonly class Incoming
{
    /**
     * @param  Unit  $unit  in which the item itself is counted
     * @param  Quantity  $ratio  how many of these take the place of one of the old, each in its item's own unit
     *
     * @throws Refusal when nothing of it would come
     */
    public function __construct(public string $component, public Unit $unit, public Quantity $ratio)
    {
        if (!$ratio->isPositive()) {
            throw Refusal::at('new', "Say how many {$component} take the place of one: more than zero.");
        }
    }
}
