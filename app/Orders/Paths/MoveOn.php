<?php

declare(strict_types=1);

namespace App\Orders\Paths;

use App\Ledger\Act;
use App\Orders\Actions\MoveOrder;
use App\Orders\Events\OrderMovedOn;
use App\Orders\Events\OrderWaits;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\People\Models\Person;
use App\Tasks\Events\TaskDone;
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
        if (!($act instanceof TaskDone) && !($act instanceof TaskWithdrawn)) {
            return;
        }
        $order = ChangeOrder::orders()->with('path')->where('number', $act->of())->first();
        if ($order?->path === null || $order->on_hold_since !== null) {
            return;
        }
        match ($order->state) {
            OrderState::Revising => $this->toReview($act, $order),
            OrderState::InReview => $this->toNextStage($act, $order),
            default => null,
        };
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

    private function toNextStage(TaskDone|TaskWithdrawn $act, ChangeOrder $order): void
    {
        $task = ChangeTask::query()->where('number', $act->task)->firstOrFail();
        $of =
            $task->path_id === $order->path_id && $task->path_place !== null
                ? $order->path?->path()->tasks[$task->path_place] ?? null
                : null;
        if ($of?->holdsStage() !== true) {
            return;
        }
        $order = ChangeOrder::hold($order->number);
        $progress = OrderProgress::of($order, $this->reader->toCore($order)->proposers());
        if ($progress->stage !== null && $progress->stage <= $of->stage) {
            return;
        }
        $isSigned = $progress->isDone() && $order->signatures->where('meaning', 'signed')->where('void', false)->isNotEmpty();
        $order->update(['state' => $isSigned ? OrderState::Signed : OrderState::InReview, 'version' => $order->version + 1]);
        $this->actors->keep($order);
        event(new OrderMovedOn($act->by(), $order->number, after: $task->number, stage: $progress->stage));
    }
}
