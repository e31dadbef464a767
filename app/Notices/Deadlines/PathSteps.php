<?php

declare(strict_types=1);

namespace App\Notices\Deadlines;

use App\ChangeNotices\RecipientReader;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Orders\Paths\OrderProgress;
use App\Orders\Paths\StepTimes;
use Orthotaxis\Core\Change\OrderState;

/** Steps of approval paths whose turn it is. What is on hold is not late. */
final readonly class PathSteps implements Matters
{
    public function __construct(private OrderReader $orders) {}

    public function waiting(): iterable
    {
        $orders = ChangeOrder::query()
            ->with('path')
            ->where('state', OrderState::InReview)
            ->whereNotNull('path_id')
            ->whereNull('on_hold_since')
            ->orderBy('id')
            ->get();
        $cores = $this->orders->many($orders);
        foreach ($orders as $order) {
            $progress = OrderProgress::of($order, $cores[$order->id]->proposers());
            foreach (StepTimes::since($order, $progress) as $at => $since) {
                $run = $progress->steps[$at];
                $due = StepTimes::due($run->step, $since, $order->days_moved);
                if ($due === null) {
                    continue;
                }
                $others = array_merge(...array_values(RecipientReader::people($run->step->escalateTo)));
                yield new Matter(
                    // Sent back and begun anew it is another matter.
                    key: "step {$order->number} {$at} {$since->getTimestamp()}",
                    change: $order->number,
                    title: $order->title,
                    path: "/orders/{$order->number}/review",
                    called: $run->step->name,
                    due: $due,
                    people: array_keys($run->acting),
                    escalateTo: $others === [] ? [$order->author_id] : $others,
                    remind: $run->step->remindDays,
                    escalate: $run->step->escalateDays,
                );
            }
        }
    }
}
