<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;

/** Nothing is released that a plant does not build, unless it is on record that manufacturing follows, under which order and by when. */
final readonly class PlantsHaveTakenOver implements Condition
{
    public function name(): string
    {
        return 'Plants have taken it over, or follow later on record';
    }

    public function place(): string
    {
        return 'plants';
    }

    public function fault(Order $order, Day $today): string
    {
        $reasons = [];
        foreach ($order->plants as $state) {
            if ($state->open === 0) {
                continue;
            }
            $later = $order->followsLater($state->item, $state->plant);
            if ($later === null) {
                $lines = $state->open === 1 ? '1 engineering line is' : "{$state->open} engineering lines are";
                $reasons[] = "{$state->item} at {$state->plant}: {$lines} not accounted for. Take them over, or say under which order that follows.";
            } elseif ($later->by->isBefore($today)) {
                $reasons[] = "{$state->item} at {$state->plant} was to follow under {$later->order} by {$later->by->spelled()}, which has passed.";
            }
        }

        return implode(' ', $reasons);
    }
}
