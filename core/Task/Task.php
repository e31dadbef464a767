<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Task;

use Orthotaxis\Core\Refusal;

use function in_array;

/**
 * How a task stands, and what may be done with it. It is for one person, who has it at once, or for a group, of which whoever claims it
 * has it. Only who has it says that it is done, and not before its check list is ticked and the tasks are done that it waits for.
 *
 * A task for purchasing is on the lists of Petra and Omar. Petra claims it: it is on hers alone. She falls ill; the coordinator hands it
 * back, and Omar claims it.
 */
final readonly class Task
{
    /**
     * @param  list<int>  $people  ids of those it is for: one, or the members of a group
     * @param  ?int  $holder  who has it, or had it when it ended
     * @param  list<string>  $unticked  what of its check list is not done
     * @param  list<string>  $waitsFor  titles of the tasks before it that are not done
     */
    private function __construct(
        public TaskState $state,
        public array $people,
        public ?int $holder,
        public array $unticked = [],
        public array $waitsFor = [],
    ) {}

    /**
     * @param  list<int>  $people
     *
     * @throws Refusal when it is for nobody
     */
    public static function for(array $people, bool $isGroup): self
    {
        if ($people === []) {
            throw Refusal::at('to', $isGroup ? 'Nobody is in this group.' : 'Choose a person or a group.');
        }

        return new self($isGroup ? TaskState::Open : TaskState::Claimed, $people, $isGroup ? null : $people[0]);
    }

    /**
     * As it is kept.
     *
     * @param  list<int>  $people
     * @param  list<string>  $unticked
     * @param  list<string>  $waitsFor
     */
    public static function kept(TaskState $state, array $people, ?int $holder, array $unticked, array $waitsFor): self
    {
        return new self($state, $people, $holder, $unticked, $waitsFor);
    }

    public function mayClaim(int $by): bool
    {
        return $this->state === TaskState::Open && in_array($by, $this->people, true);
    }

    public function isHeldBy(int $by): bool
    {
        return $this->state === TaskState::Claimed && $this->holder === $by;
    }

    /** Whether this person has to do something about it now. */
    public function needs(int $person): bool
    {
        return $this->mayClaim($person) || $this->isHeldBy($person);
    }

    public function claim(int $by): self
    {
        return match (true) {
            $this->mayClaim($by) => $this->to(TaskState::Claimed, $by),
            $this->state === TaskState::Claimed => throw Refusal::at('task', 'Somebody has claimed it already.'),
            $this->state === TaskState::Open => throw Refusal::at('task', 'It is for a group that you are not in.'),
            default => throw self::ended(),
        };
    }

    /** Whether somebody else is there who could claim it if it were given back. */
    public function hasOthers(): bool
    {
        return array_diff($this->people, [$this->holder]) !== [];
    }

    /** Back to its group. */
    public function handBack(int $by, bool $manages): self
    {
        $this->mustBeHeld($by, $manages);
        if (!$this->hasOthers()) {
            throw Refusal::at('task', 'It is for one person alone. Hand it on to somebody else.');
        }

        return $this->to(TaskState::Open, null);
    }

    /** To others, with all that is done of it. It need not be held for that: who manages tasks may do so too. */
    public function handOn(int $by, bool $manages, self $to): self
    {
        if (!$this->state->isOpen()) {
            throw self::ended();
        }
        if (!$manages) {
            $this->mustBeHeld($by, false);
        }

        return new self($to->state, $to->people, $to->holder, $this->unticked, $this->waitsFor);
    }

    public function finish(int $by): self
    {
        $this->mustBeHeld($by, false);
        if ($this->waitsFor !== []) {
            throw Refusal::at('task', 'It waits for ' . implode(', ', $this->waitsFor) . '.');
        }
        if ($this->unticked !== []) {
            throw Refusal::at('checks', 'Not ticked yet: ' . implode(', ', $this->unticked) . '.');
        }

        return $this->to(TaskState::Done, $by);
    }

    public function withdraw(): self
    {
        return $this->state->isOpen() ? $this->to(TaskState::Withdrawn, $this->holder) : throw self::ended();
    }

    /** What was done or withdrawn is to be done after all, by who had it, or by its group. */
    public function reopen(): self
    {
        if ($this->state->isOpen()) {
            throw Refusal::at('task', 'It is open already.');
        }

        return $this->holder === null ? $this->to(TaskState::Open, null) : $this->to(TaskState::Claimed, $this->holder);
    }

    private function to(TaskState $state, ?int $holder): self
    {
        return new self($state, $this->people, $holder, $this->unticked, $this->waitsFor);
    }

    private function mustBeHeld(int $by, bool $manages): void
    {
        match (true) {
            !$this->state->isOpen() => throw self::ended(),
            $this->state === TaskState::Open => throw Refusal::at('task', 'Nobody has claimed it.'),
            $this->holder !== $by && !$manages => throw Refusal::at('task', 'Somebody else has it.'),
            default => null,
        };
    }

    private static function ended(): Refusal
    {
        return Refusal::at('task', 'It is done or withdrawn.');
    }
}
