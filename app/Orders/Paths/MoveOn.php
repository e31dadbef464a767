<?php

declare(strict_types=1);

namespace App\Orders\Paths;

use App\Ledger\Act;
use App\Orders\Actions\MoveOrder;
use App\Orders\Events\OrderGoesOn;
use App\Orders\Events\OrderMovedOn;
use App\Orders\Events\OrderWaits;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Paths\PathProgress;
use App\Paths\PathTasks;
use App\People\Models\Person;
use App\Tasks\Events\TaskDone;
use App\Tasks\Events\TaskReopened;
use App\Tasks\Events\TaskWithdrawn;
use App\Tasks\Models\ChangeTask;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Refusal;

/**
 * When the last task is done that a step waited for, the order goes on by itself: to review where its path says so, to the next stage of
 * its review always.
 */
final readonly class MoveOn
{
    public function __construct(private MoveOrder $orders, private OrderReader $reader, private KeptActors $actors) {}

    public function handle(Act $act): void
    {
        $isOver = $act instanceof TaskDone || $act instanceof TaskWithdrawn;
        if (!$isOver && !($act instanceof TaskReopened) && !($act instanceof OrderGoesOn)) {
            return;
        }
        $order = ChangeOrder::orders()->with('path')->where('number', $act->of())->first();
        if ($order?->path === null || $order->on_hold_since !== null) {
            return;
        }
        if ($order->state === OrderState::InReview) {
            $this->renew($act, ChangeOrder::hold($order->number));
        } elseif ($isOver && $order->state === OrderState::Revising) {
            $this->toReview($act, $order);
        }
    }

    private function toReview(TaskDone|TaskWithdrawn $act, ChangeOrder $order): void
    {
        $task = ChangeTask::query()->with('subjects')->where('number', $act->task)->firstOrFail();
        $held = $task->before_review || $task->subjects->isNotEmpty();
        // What was to be done on a path that it has left lets it go nowhere.
        $isOfAnother = $task->path_id !== null && $task->path_id !== $order->path_id;
        if (!$held || $isOfAnother || $order->path?->sends_itself !== true || $this->reader->toCore($order)->openBeforeReview() !== []) {
            return;
        }
        try {
            $this->orders->sendItself(Person::query()->where('login', $act->by())->firstOrFail(), $order->number, $order->version);
        } catch (Refusal $refusal) {
            // The task is done all the same; what is missing is told to who can put it right.
            event(new OrderWaits($act->by(), $order->number, implode(' ', $refusal->reasons)));
        }
    }

    /** Others can act now, where a stage is over or, with a task that is to be done after all, is not. */
    private function renew(Act $act, ChangeOrder $order): void
    {
        $acted = self::acting($order);
        $this->actors->keep($order);
        $judged = new OrderOnPath($order, $this->reader->toCore($order)->proposers());
        $progress = PathProgress::of($judged);
        $isSigned = $progress->isDone() && $order->signatures->where('meaning', 'signed')->where('void', false)->isNotEmpty();
        $wentOn = match (true) {
            $act instanceof TaskReopened => false,
            $act instanceof OrderGoesOn => $isSigned || $acted !== self::acting($order),
            default => PathTasks::isLeft($judged, self::task($act), $progress->stage),
        };
        if ($wentOn) {
            $order->update(['state' => $isSigned ? OrderState::Signed : OrderState::InReview, 'version' => $order->version + 1]);
            $this->actors->keep($order);
            event(new OrderMovedOn($act->by(), $order->number, stage: $progress->stage));
        }
    }

    private static function task(Act $act): string
    {
        $task = $act->details()['task'] ?? '';

        return is_string($task) ? $task : '';
    }

    /** @return list<int> ids of the people who can act */
    private static function acting(ChangeOrder $order): array
    {
        /** @var list<int> */
        return $order->actors()->pluck('people.id')->sort()->values()->all();
    }
}
