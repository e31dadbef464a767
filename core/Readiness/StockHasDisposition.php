<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderItem;

final readonly class StockHasDisposition implements Condition
{
    public function name(): string
    {
        return 'Existing stock has a disposition';
    }

    public function place(): string
    {
        return 'items';
    }

    public function fault(Order $order, Day $today): string
    {
        $undecided = array_filter(
            $order->items,
            static fn(OrderItem $item): bool => $item->disposition === null && $item->needsDisposition(),
        );

        return $undecided === [] ? '' : OrderItem::numbers($undecided) . ': say what happens to what exists.';
    }
}
