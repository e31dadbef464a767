<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Task;

use Orthotaxis\Core\Content\Subject;

/** A task that is done by editing subjects of an order. */
final readonly class EditingTask
{
    /**
     * @param  ?int  $holder  who has it, or had it when it ended; a person's id
     * @param  non-empty-list<Subject>  $subjects
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
