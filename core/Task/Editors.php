<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Task;

use Orthotaxis\Core\Content\Subject;

/**
 * Who edits what under an order: its editor all of it, and whoever has an editing task the subjects of that task, for as long as they have
 * it. An edit belongs to the task under which its author made it; else to the order itself.
 *
 * Mara edits the order. Samir has the task "Gasket at Weir", which edits what Weir builds of 200-0010: that he may edit, and nothing else.
 * What he does there is under his task; what Mara does there is not. Once his task is done he edits no more.
 */
final readonly class Editors
{
    /**
     * @param  ?int  $editor  of the order, a person's id
     * @param  list<TaskBeforeReview>  $tasks  in the order in which they were made
     */
    public function __construct(public ?int $editor, public array $tasks = []) {}

    /** @param  ?Subject  $subject  null: any of the order */
    public function mayEdit(int $person, ?Subject $subject = null): bool
    {
        if ($person === $this->editor) {
            return true;
        }
        foreach ($this->tasks as $task) {
            if ($task->isHeldBy($person) && ($subject === null ? $task->subjects !== [] : $task->covers($subject))) {
                return true;
            }
        }

        return false;
    }

    /** The task under which the person edits a subject; the first, where they have several that cover it. */
    public function taskOf(int $person, Subject $subject): ?TaskBeforeReview
    {
        foreach ($this->tasks as $task) {
            if ($task->isHeldBy($person) && $task->covers($subject)) {
                return $task;
            }
        }

        return null;
    }

    /** @return list<TaskBeforeReview> that are neither done nor withdrawn */
    public function open(): array
    {
        return array_values(array_filter($this->tasks, static fn(TaskBeforeReview $task): bool => $task->state->isOpen()));
    }

    /** @return list<int> all who edit, or edited: who has a task, or had it when it was done */
    public function people(): array
    {
        $holders = array_map(
            static fn(TaskBeforeReview $task): ?int => $task->subjects === [] || $task->state === TaskState::Withdrawn
                ? null
                : $task->holder,
            $this->tasks,
        );

        return array_values(array_unique(array_filter([$this->editor, ...$holders], is_int(...))));
    }
}
