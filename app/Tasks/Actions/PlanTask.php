<?php

declare(strict_types=1);

namespace App\Tasks\Actions;

use App\Http\Stale;
use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Tasks\EditingRight;
use App\Tasks\Events\TaskPlanned;
use App\Tasks\Models\ChangeTask;
use App\Tasks\TaskKind;
use App\Vocabulary\Priority;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Refusal;

/** Says anew what a task is, by when, and what it waits for. */
final readonly class PlanTask
{
    public function __construct(private Ledger $ledger, private MakeTasks $tasks) {}

    /**
     * @param  list<string>  $checks
     * @param  list<string>  $waitsFor  numbers of tasks of the same change
     * @param  list<Subject>  $subjects  which it edits
     *
     * @throws Stale when somebody has changed it since that version
     * @throws Refusal when it is done
     */
    public function __invoke(
        Person $by,
        string $number,
        TaskKind $kind,
        string $title,
        string $text,
        ?string $dueOn,
        Priority $priority,
        ?int $estimateHours,
        array $checks,
        array $waitsFor,
        array $subjects,
        bool $beforeReview,
        bool $beforeRelease,
        int $version,
    ): void {
        $fields = ['kind' => $kind, 'title' => $title, 'text' => $text, 'due_on' => $dueOn, 'priority' => $priority];
        $fields += ['estimate_hours' => $estimateHours, 'before_review' => $beforeReview, 'before_release' => $beforeRelease];
        $this->ledger->together(function () use ($by, $number, $fields, $checks, $waitsFor, $subjects, $version): void {
            $task = ChangeTask::hold($number);
            $task->mustBeAt($version);
            if (!$task->state->isOpen()) {
                throw Refusal::at('task', 'It is done or withdrawn.');
            }
            $task->update([...$fields, 'version' => $task->version + 1]);
            MakeTasks::keepChecks($task, $checks);
            MakeTasks::keepWaits($task, $waitsFor);
            $this->tasks->keepSubjects($task, $subjects);
            EditingRight::check($task, $task->standing()->people, 'edits');
            event(new TaskPlanned($by->login, $task->change, $number, $task->title, $task->due_on));
        });
    }
}
