<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Task\TaskBeforeReview;

/** Nobody judges what others are still at work on. */
final readonly class TasksBeforeReviewAreDone implements OfSome
{
    public function name(): string
    {
        return 'All tasks before review are done';
    }

    public function place(): string
    {
        return 'tasks';
    }

    public function concerns(Order $order): bool
    {
        return $order->tasksBeforeReview !== [];
    }

    public function fault(Order $order, Day $today): string
    {
        $named = implode(
            ', ',
            array_map(static fn(TaskBeforeReview $task): string => "{$task->number} {$task->title}", $order->openBeforeReview()),
        );

        return $named === '' ? '' : "Not done yet: {$named}.";
    }
}
