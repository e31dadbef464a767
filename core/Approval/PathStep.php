<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Approval;

use Orthotaxis\Core\Refusal;

/** People of whom some must sign. Steps of one stage run side by side, stages one after another. */
final readonly class PathStep
{
    /** The stage before the first: back to who edits. */
    public const EDITOR = 0;

    /**
     * @param  int  $stage  from 1 on
     * @param  non-empty-list<string>  $who  names that a roster knows: of people, groups and roles of the change
     * @param  int  $needed  how many of them, each counted once; 0: all
     * @param  ?int  $dueDays  working days from when it is its turn
     * @param  ?int  $remindDays  working days before it is due, when whoever acts is reminded
     * @param  ?int  $escalateDays  working days after it was due, when others are told
     * @param  list<string>  $escalateTo  names as in $who; none: whoever raised the change
     * @param  list<string>  $checks  what whoever signs ticks first
     * @param  list<Condition>  $conditions  all must hold, or the step is not needed
     * @param  list<int>  $backTo  stages before it to which it may send the change back
     */
    public function __construct(
        public string $name,
        public int $stage,
        public array $who,
        public int $needed = 0,
        public Meaning $meaning = Meaning::Approved,
        public bool $withPassword = true,
        public ?int $dueDays = null,
        public array $conditions = [],
        public array $backTo = [self::EDITOR],
        public ?int $remindDays = null,
        public ?int $escalateDays = null,
        public array $escalateTo = [],
        public array $checks = [],
    ) {
        if ($dueDays === null && ($remindDays !== null || $escalateDays !== null)) {
            throw Refusal::at('due_days', 'Say in how many days it is due: nobody is late otherwise.');
        }
        if ($stage < 1) {
            throw Refusal::at('stage', 'Stages count from 1.');
        }
        foreach ($backTo as $stageBefore) {
            if ($stageBefore < self::EDITOR || $stageBefore >= $stage) {
                throw Refusal::at('back_to', 'A step sends back to a stage before its own.');
            }
        }
    }

    /**
     * @param  list<string>  $ticked
     *
     * @throws Refusal while a row of the check list is not ticked
     */
    public function mustBeTicked(array $ticked): void
    {
        $missing = array_diff($this->checks, $ticked);
        if ($missing !== []) {
            throw Refusal::at('checks', 'Not ticked yet: ' . implode(', ', $missing) . '.');
        }
    }

    public function isNeeded(Facts $facts): bool
    {
        return Condition::allHold($this->conditions, $facts);
    }
}
