<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;

final readonly class AnotherPersonSigns implements Condition
{
    public function name(): string
    {
        return 'Another person signs';
    }

    public function place(): string
    {
        return 'signer';
    }

    public function fault(Order $order, Day $today): string
    {
        return match (true) {
            $order->stuck !== null => implode(' ', $order->stuck),
            $order->signer === null => 'Name the person who signs.',
            in_array($order->signer, $order->proposers(), true) => 'The originator or an editor cannot sign. Name another person.',
            default => '',
        };
    }
}
