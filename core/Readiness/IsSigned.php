<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderState;

final readonly class IsSigned implements Condition
{
    public function name(): string
    {
        return 'It is signed';
    }

    public function place(): string
    {
        return 'signature';
    }

    public function fault(Order $order, Day $today): string
    {
        return $order->state === OrderState::Signed ? '' : 'The order is not signed.';
    }
}
