<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;

final readonly class ItemIsRevised implements Condition
{
    public function name(): string
    {
        return 'An item changes';
    }

    public function place(): string
    {
        return 'items';
    }

    public function fault(Order $order, Day $today): string
    {
        return $order->changing() === []
            ? 'Name at least one item that gets a new revision, that plants build in another way, or of which data change.'
            : '';
    }
}
