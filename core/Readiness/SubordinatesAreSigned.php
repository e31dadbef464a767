<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\TiedOrder;

/** Whether all that is released together with it is signed. */
final readonly class SubordinatesAreSigned implements OfSome
{
    public function concerns(Order $order): bool
    {
        return array_filter($order->subordinates, static fn(TiedOrder $one): bool => $one->together) !== [];
    }

    public function name(): string
    {
        return 'Orders that are released with it are signed';
    }

    public function place(): string
    {
        return 'subordinates';
    }

    public function fault(Order $order, Day $today): string
    {
        $unsigned = array_filter(
            $order->subordinates,
            static fn(TiedOrder $one): bool => $one->together && $one->state->isOpen() && $one->state !== OrderState::Signed,
        );

        return $unsigned === []
            ? ''
            : 'Not signed yet: ' . implode(', ', array_map(static fn(TiedOrder $one): string => $one->number, $unsigned)) . '.';
    }
}
