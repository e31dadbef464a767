<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderState;

/** Whether the order to which it is subordinate is released. */
final readonly class ParentIsReleased implements OfSome
{
    public function concerns(Order $order): bool
    {
        return $order->parent !== null;
    }

    public function name(): string
    {
        return 'Its parent order is released';
    }

    public function place(): string
    {
        return 'parent';
    }

    public function fault(Order $order, Day $today): string
    {
        $parent = $order->parent;

        return match (true) {
            $parent === null || $parent->isReleased() => '',
            $parent->state === OrderState::Withdrawn
                => "Its parent {$parent->number} was withdrawn. Make it subordinate to none, or withdraw it too.",
            $parent->together => "It is released together with its parent {$parent->number}: release that one.",
            default => "Its parent {$parent->number} is not released yet.",
        };
    }
}
