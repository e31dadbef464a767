<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;

/** A drawing that would stay at an old revision is told before the order is judged, not found later. */
final readonly class BelongingsAreCurrent implements OfSome
{
    public function name(): string
    {
        return 'What belongs together goes along, adopts, or is left with a reason';
    }

    public function place(): string
    {
        return 'belongings';
    }

    public function concerns(Order $order): bool
    {
        return $order->belongings !== [];
    }

    public function fault(Order $order, Day $today): string
    {
        $reasons = [];
        foreach ($order->belongings as $one) {
            if ($one->isOpen()) {
                $reasons[] = "{$one->item}: {$one->number} {$one->fault}";
            }
        }

        return implode(' ', $reasons);
    }
}
