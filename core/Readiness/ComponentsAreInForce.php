<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;

final readonly class ComponentsAreInForce implements Waivable
{
    public function key(): string
    {
        return 'components_in_force';
    }

    public function name(): string
    {
        return 'Every component is in force on the day, and nothing retired is used';
    }

    public function place(): string
    {
        return 'edits';
    }

    public function fault(Order $order, Day $today): string
    {
        $reasons = [];
        foreach ($order->works() as $work) {
            foreach ($work->missing as $missing) {
                $reasons[] = "{$work->subject} {$missing}";
            }
        }

        return implode(' ', $reasons);
    }
}
