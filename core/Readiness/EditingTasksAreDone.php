<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Task\EditingTask;

/** Nobody judges what others are still at work on. */
final readonly class EditingTasksAreDone implements OfSome
{
    public function name(): string
    {
        return 'All editing tasks are done';
    }

    public function place(): string
    {
        return 'tasks';
    }

    public function concerns(Order $order): bool
    {
        return $order->editingTasks !== [];
    }

    public function fault(Order $order, Day $today): string
    {
        $open = array_filter($order->editingTasks, static fn(EditingTask $task): bool => $task->state->isOpen());
        $named = implode(', ', array_map(static fn(EditingTask $task): string => "{$task->number} {$task->title}", $open));

        return $named === '' ? '' : "Not done yet: {$named}.";
    }
}
