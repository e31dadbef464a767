<?php

declare(strict_types=1);

namespace App\Tasks\Actions;

use App\Ledger\Ledger;
use App\People\Ability;
use App\People\Models\Person;
use App\Tasks\Assignee;
use App\Tasks\ChangesOfTasks;
use App\Tasks\EditingRight;
use App\Tasks\Events\TaskClaimed;
use App\Tasks\Events\TaskDone;
use App\Tasks\Events\TaskHandedBack;
use App\Tasks\Events\TaskHandedOn;
use App\Tasks\Events\TaskReopened;
use App\Tasks\Events\TaskWithdrawn;
use App\Tasks\Models\ChangeTask;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Refusal;

/** Takes a task, gives it to others, and ends it. The task is held, so that of two at once one comes first and the other is told. */
final readonly class MoveTask
{
    public function __construct(private Ledger $ledger, private ChangesOfTasks $changes) {}

    public function claim(Person $by, string $number): void
    {
        $this->turn($number, static function (ChangeTask $task) use ($by): void {
            $standing = $task->standing()->claim($by->id);
            EditingRight::check($task, [$by->id], 'task');
            $task->become($standing);
            event(new TaskClaimed($by->login, $task->change, $task->number, $task->title));
        });
    }

    public function handBack(Person $by, string $number, string $reason): void
    {
        $this->turn($number, static function (ChangeTask $task) use ($by, $reason): void {
            $task->become($task->standing()->handBack($by->id, $by->mayDo(Ability::ManageTasks, $task->number)));
            event(new TaskHandedBack($by->login, $task->change, task: $task->number, title: $task->title, reason: $reason));
        });
    }

    public function handOn(Person $by, string $number, Assignee $to, string $reason): void
    {
        $this->turn($number, static function (ChangeTask $task) use ($by, $to, $reason): void {
            $standing = $task->standing()->handOn($by->id, $by->mayDo(Ability::ManageTasks, $task->number), $to->task());
            EditingRight::check($task, $standing->people, 'to');
            $task->fill($to->columns())->become($standing);
            event(new TaskHandedOn($by->login, $task->change, task: $task->number, title: $task->title, to: $to->name(), reason: $reason));
        });
    }

    public function finish(Person $by, string $number, string $result): void
    {
        $this->end($number, static function (ChangeTask $task) use ($by, $result): void {
            $standing = $task->standing()->finish($by->id);
            $task->fill(['result' => $result, 'ended_at' => CarbonImmutable::now()])->become($standing);
            event(new TaskDone($by->login, $task->change, task: $task->number, title: $task->title, result: $result));
        });
    }

    public function withdraw(Person $by, string $number, string $reason): void
    {
        $this->end($number, static fn(ChangeTask $task) => self::withdrawn($by, $task, $reason));
    }

    /** All that is not done for a change that has ended. */
    public function withdrawAll(Person $by, string $change, string $reason): void
    {
        $this->ledger->together(static function () use ($by, $change, $reason): void {
            foreach (ChangeTask::openOf($change)->orderBy('id')->lockForUpdate()->get() as $task) {
                self::withdrawn($by, $task, $reason);
            }
        });
    }

    /** @throws Refusal when its change has ended */
    public function reopen(Person $by, string $number, string $reason): void
    {
        $change = ChangeTask::query()->where('number', $number)->firstOrFail()->change;
        $this->ledger->together(function () use ($by, $number, $change, $reason): void {
            // The change is held first, as whoever ends it does.
            $this->changes->holdOpen($change);
            $task = ChangeTask::hold($number);
            $task->fill(['ended_at' => null])->become($task->standing()->reopen());
            event(new TaskReopened($by->login, $change, task: $number, title: $task->title, reason: $reason));
        });
    }

    private static function withdrawn(Person $by, ChangeTask $task, string $reason): void
    {
        $standing = $task->standing()->withdraw();
        $task->fill(['ended_at' => CarbonImmutable::now()])->become($standing);
        event(new TaskWithdrawn($by->login, $task->change, task: $task->number, title: $task->title, reason: $reason));
    }

    /**
     * The change may go on with it, so that it is held as well.
     *
     * @param  \Closure(ChangeTask): void  $act
     */
    private function end(string $number, \Closure $act): void
    {
        $change = ChangeTask::query()->where('number', $number)->firstOrFail()->change;
        $this->ledger->together(function () use ($number, $change, $act): void {
            $this->changes->hold($change);
            $act(ChangeTask::hold($number));
        });
    }

    /** @param  \Closure(ChangeTask): void  $act */
    private function turn(string $number, \Closure $act): void
    {
        $this->ledger->together(static fn() => $act(ChangeTask::hold($number)));
    }
}
