<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Structure\StructureFaults;

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
        foreach ($order->revised() as $item) {
            foreach (StructureFaults::of($item->after) as $fault) {
                $reasons[] = "{$item->number}: {$fault}";
            }
        }

        return implode(' ', $reasons);
    }
}
