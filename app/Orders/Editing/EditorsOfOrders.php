<?php

declare(strict_types=1);

namespace App\Orders\Editing;

use App\Ledger\Act;
use App\Orders\Models\ChangeOrder;
use App\Tasks\Models\ChangeTask;
use App\Tasks\Models\TaskSubject;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Task\EditingTask;
use Orthotaxis\Core\Task\Editors;

/** Who edits what under orders: their editors, and those who have editing tasks. What is read is kept for one request. */
final class EditorsOfOrders
{
    /** @var array<string, list<EditingTask>> by number of the order */
    private array $tasks = [];

    public function of(ChangeOrder $order): Editors
    {
        return $this->many(new Collection([$order]))[$order->id];
    }

    /** After an act that changes tasks they are read anew: an import or a seed goes on for long. */
    public function handle(Act $act): void
    {
        if (str_starts_with($act->name(), 'task.')) {
            $this->tasks = [];
        }
    }

    /**
     * @param  Collection<int, ChangeOrder>  $orders
     * @return array<int, Editors> by id
     */
    public function many(Collection $orders): array
    {
        $unread = $orders->pluck('number')->reject(fn(string $number): bool => isset($this->tasks[$number]))->values();
        if ($unread->isNotEmpty()) {
            $this->tasks += array_fill_keys($unread->all(), []);
            foreach (
                ChangeTask::query()->whereIn('change', $unread)->whereHas('subjects')->with('subjects.item:id,number')->orderBy('id')->get()
                as $task
            ) {
                $this->tasks[$task->change][] = self::task($task);
            }
        }

        return $orders
            ->keyBy('id')
            ->map(fn(ChangeOrder $order): Editors => new Editors($order->editor_id, $this->tasks[$order->number]))
            ->all();
    }

    private static function task(ChangeTask $task): EditingTask
    {
        $subjects = array_values($task->subjects->map(static fn(TaskSubject $one): Subject => $one->subject())->all());

        return new EditingTask(
            $task->id,
            $task->number,
            $task->title,
            state: $task->state,
            holder: $task->holder_id,
            subjects: $subjects === [] ? throw new \LogicException("{$task->number} edits nothing.") : $subjects,
        );
    }
}
