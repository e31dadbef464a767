<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Task;

use Orthotaxis\Core\Content\Subject;

/** A task without which an order is not sent to review: done by editing subjects of it, or otherwise. */
final readonly class TaskBeforeReview
{
    /**
     * @param  ?int  $holder  who has it, or had it when it ended; a person's id
     * @param  list<Subject>  $subjects  which it edits
     */
    public function __construct(
        public int $id,
        public string $number,
        public string $title,
        public TaskState $state,
        public ?int $holder,
        public array $subjects,
    ) {}

    public function covers(Subject $subject): bool
    {
        foreach ($this->subjects as $one) {
            if ((string) $one === (string) $subject) {
                return true;
            }
        }

        return false;
    }

    public function isHeldBy(int $person): bool
    {
        return $this->state === TaskState::Claimed && $this->holder === $person;
    }
}
