<?php

declare(strict_types=1);

namespace App\Orders\Editing;

use App\Ledger\Ledger;
use App\Orders\Actions\HeldWork;
use App\Orders\Events\TaskEditsRedone;
use App\Orders\Events\TaskEditsUndone;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\EditRecord;
use App\Orders\Models\WorkRecord;
use App\Orders\OrderAct;
use App\Orders\OrderPolicy;
use App\Orders\WorkContents;
use App\People\Models\Person;
use App\Tasks\Models\ChangeTask;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Refusal;

/**
 * Takes back all that was done under one task, whatever others did between and since, or does it again. All of it or nothing: where others
 * have built on it, theirs comes first.
 */
final readonly class TurnTask
{
    public function __construct(private WorkContents $contents, private Ledger $ledger) {}

    public function back(Person $by, string $number): void
    {
        $this->turn($by, $number, true);
    }

    public function again(Person $by, string $number): void
    {
        $this->turn($by, $number, false);
    }

    /**
     * @param  Collection<int, WorkRecord>  $works
     * @return ?string why the person may not; null when they may
     */
    public static function refusal(Person $by, ChangeOrder $order, Collection $works): ?string
    {
        if (!$order->state->allowsEdits()) {
            return "{$order->number} is not open for revision.";
        }
        if (OrderPolicy::refusal(OrderAct::Plan, $by, $order) === null) {
            return null;
        }

        return $works
            ->map(static fn(WorkRecord $work): ?string => OrderPolicy::refusalToEdit($by, $order, $work->subject()))
            ->first(static fn(?string $refusal): bool => $refusal !== null);
    }

    private function turn(Person $by, string $number, bool $back): void
    {
        $task = ChangeTask::query()->where('number', $number)->firstOrFail();
        ChangeOrder::orders()->where('number', $task->change)->exists() || throw Refusal::at('edits', "{$task->change} is no order.");
        $this->ledger->together(function () use ($by, $task, $back): void {
            $order = HeldWork::openOrder($task->change);
            $works = TaskWork::of($task);
            $refusal = self::refusal($by, $order, $works);
            $refusal === null || throw Refusal::at('edits', $refusal);
            $some = $works->flatMap(static fn(WorkRecord $work) => $back ? $work->holding() : $work->undone())->where('task_id', $task->id);
            $some->isNotEmpty() || throw Refusal::at('edits', $back ? 'There is nothing to undo.' : 'There is nothing to redo.');
            EditRecord::query()
                ->whereIntegerInRaw('id', $some->pluck('id')->all())
                ->update(['withdrawn_at' => $back ? EditRecord::moment() : null]);
            $this->mustStillFit($works);
            event(
                $back
                    ? new TaskEditsUndone($by->login, $order->number, task: $task->number, title: $task->title, edits: $some->count())
                    : new TaskEditsRedone($by->login, $order->number, task: $task->number, title: $task->title, edits: $some->count()),
            );
        });
    }

    /**
     * @param  Collection<int, WorkRecord>  $works
     *
     * @throws Refusal with what others did that does not fit any more
     */
    private function mustStillFit(Collection $works): void
    {
        $reasons = [];
        foreach ($works->load('edits.author') as $work) {
            try {
                $this->contents->after($work);
            } catch (Refusal $refusal) {
                $reasons["edits.{$work->subject()}"] = "{$work->subject()}: what others did builds on this. {$refusal->getMessage()}";
            }
        }
        if ($reasons !== []) {
            throw Refusal::because($reasons);
        }
    }
}
