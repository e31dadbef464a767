<?php

declare(strict_types=1);

namespace App\Notices\Deadlines;

use App\Discussion\Subjects;
use App\Tasks\Models\ChangeTask;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Task\TaskState;

/** Tasks that are not done. Those that wait for others are nobody's turn. */
final readonly class Tasks implements Matters
{
    public function waiting(): iterable
    {
        $tasks = ChangeTask::whole()->whereIn('state', TaskState::ahead())->whereNotNull('due_on')->orderBy('id')->get();
        $titles = Subjects::titles($tasks->pluck('change')->all());
        foreach ($tasks as $task) {
            $waitsFor = $task->standing()->waitsFor;
            if ($task->due_on === null || $waitsFor !== []) {
                continue;
            }
            yield new Matter(
                key: "task {$task->number}",
                change: $task->change,
                title: $titles[$task->change] ?? '',
                path: "/tasks/{$task->number}",
                called: "{$task->number} {$task->title}",
                due: Day::parse($task->due_on),
                people: $task->holder_id !== null
                    ? [$task->holder_id]
                    : ($task->person_id !== null
                        ? [$task->person_id]
                        : $task->group?->active() ?? []),
                escalateTo: [$task->made_by],
                remind: config()->integer('notices.remind_days'),
                escalate: config()->integer('notices.escalate_days'),
            );
        }
    }
}
