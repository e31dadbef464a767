<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;

/** Whether it takes effect on the day of the order to which it is subordinate, or later. */
final readonly class NoEarlierThanParent implements OfSome, Waivable
{
    public function key(): string
    {
        return 'no_earlier_than_parent';
    }

    public function concerns(Order $order): bool
    {
        return $order->parent !== null;
    }

    public function name(): string
    {
        return 'It takes effect no earlier than its parent order';
    }

    public function place(): string
    {
        return 'effective_on';
    }

    public function fault(Order $order, Day $today): string
    {
        $day = $order->parent?->effectiveOn;

        return $day !== null && $order->effectiveOn?->isBefore($day) === true
            ? "Its parent {$order->parent->number} takes effect on {$day->spelled()}. Set that day or a later one."
            : '';
    }
}
