<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;

/** What has to be there when the change comes into force is there: a tool, an instruction, a stock that is used up. */
final readonly class TasksBeforeReleaseAreDone implements OfSome
{
    public function name(): string
    {
        return 'All tasks before release are done';
    }

    public function place(): string
    {
        return 'tasks';
    }

    public function concerns(Order $order): bool
    {
        return $order->openBeforeRelease !== null;
    }

    public function fault(Order $order, Day $today): string
    {
        $named = implode(', ', $order->openBeforeRelease ?? []);

        return $named === '' ? '' : "Not done yet: {$named}.";
    }
}
