<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths;

use App\Days\OfficeDays;
use App\Days\Today;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use App\Tasks\Actions\MakeTasks;
use App\Tasks\Assignee;
use App\Tasks\PlannedTask;
use App\Tasks\TaskKind;
use Orthotaxis\Core\Approval\PathTask;
use Orthotaxis\Core\Refusal;

/**
 * Makes the tasks of the path of a request with the stage to which they belong, each once. A task for a role that nobody has, or for
 * somebody who is not here any more, is for whoever makes it.
 */
final readonly class MakeRequestTasks
{
    public function __construct(private MakeTasks $tasks) {}

    /** @param  ?int  $stage  under way; null: all are over */
    public function __invoke(Person $by, ChangeRequest $request, RequestOnPath $change, ?int $stage): void
    {
        $planned = [];
        foreach ($change->path()->tasks as $at => $task) {
            if ($task->stage !== null && $task->stage <= ($stage ?? PHP_INT_MAX)) {
                $planned[] = self::planned($by, $request, $change, $task, $at);
            }
        }
        $planned === [] || ($this->tasks)($by, $request->number, $planned);
    }

    private static function planned(Person $by, ChangeRequest $request, RequestOnPath $change, PathTask $task, int $at): PlannedTask
    {
        return new PlannedTask(
            to: self::assignee($by, $change, $task->to),
            kind: TaskKind::from($task->kind),
            title: $task->title,
            dueOn: $task->dueDays === null ? null : (string) OfficeDays::after(Today::day(), $task->dueDays),
            checks: $task->checks,
            source: "path {$request->number} {$request->path_id} {$at}",
            ofPath: [(int) $request->path_id, $at],
        );
    }

    private static function assignee(Person $by, RequestOnPath $change, string $to): Assignee
    {
        foreach ($change->named($to) as $name) {
            try {
                return Assignee::named($name);
            } catch (Refusal) {
                // Not here any more, or a group without members.
            }
        }

        return Assignee::named($by->login);
    }
}
