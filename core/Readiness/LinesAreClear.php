<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;

final readonly class LinesAreClear implements Condition
{
    public function name(): string
    {
        return 'Find numbers and designators are clear';
    }

    public function place(): string
    {
        return 'edits';
    }

    public function fault(Order $order, Day $today): string
    {
        $reasons = [];
        foreach ($order->works() as $work) {
            foreach ($work->after->faults() as $fault) {
                $reasons[] = "{$work->subject}: {$fault}";
            }
        }

        return implode(' ', $reasons);
    }
}
