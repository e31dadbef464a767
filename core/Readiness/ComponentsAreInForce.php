<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;

final readonly class ComponentsAreInForce implements Waivable
{
    public function name(): string
    {
        return 'Every component is in force on the day';
    }

    public function place(): string
    {
        return 'edits';
    }

    public function fault(Order $order, Day $today): string
    {
        $by =
            $order->effectiveOn === null
                ? 'which has no released revision.'
                : "which has no revision in force on {$order->effectiveOn->spelled()}.";
        $reasons = [];
        foreach ($order->works() as $work) {
            if ($work->missing !== []) {
                $reasons[] = "{$work->subject} uses " . implode(', ', $work->missing) . ", {$by}";
            }
        }

        return implode(' ', $reasons);
    }
}
