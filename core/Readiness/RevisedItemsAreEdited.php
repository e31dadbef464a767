<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderItem;

final readonly class RevisedItemsAreEdited implements Condition
{
    public function name(): string
    {
        return 'Every item that changes is edited';
    }

    public function place(): string
    {
        return 'edits';
    }

    public function fault(Order $order, Day $today): string
    {
        $idle = array_filter($order->changing(), static fn(OrderItem $item): bool => !$item->isEdited());

        return $idle === [] ? '' : OrderItem::numbers($idle) . ': nothing is changed yet.';
    }
}
