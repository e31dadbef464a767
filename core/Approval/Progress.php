<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Approval;

use function count;
use function in_array;

/**
 * How far a change has come on its path: what is done, now and ahead, who can act, and what is missing. It follows from the path, the facts
 * of today and what was done, and from nothing else. Nobody who proposed the change counts as one who judges it; a person counts once in a
 * step, for themselves or for one other.
 *
 * A stage is over when its steps are done and so is what the path has to be done in it: a stage of tasks alone has nobody who signs.
 *
 * Two of Ada, Ben and Cem sign; Ben is away, and Cem stands in for him. Cem signs: one more is needed, and it is Ada, for Cem cannot count
 * twice.
 */
final readonly class Progress
{
    /**
     * @param  list<StepRun>  $steps  in the order of the path
     * @param  ?int  $stage  that is under way; null: all is done
     * @param  list<PathTask>  $waitsFor  tasks of that stage without which it is not over
     */
    private function __construct(public array $steps, public ?int $stage, private bool $inReview, public array $waitsFor = []) {}

    /**
     * @param  list<PathAct>  $acts  in their order
     * @param  list<int>  $proposers  ids of who raised and edited it
     * @param  bool  $inReview  whether it is being judged now
     * @param  list<int>  $tasksOver  places of the tasks of the path that are done or withdrawn
     */
    public static function of(
        Path $path,
        Facts $facts,
        Roster $roster,
        array $acts,
        array $proposers,
        bool $inReview,
        array $tasksOver = [],
    ): self {
        $signed = array_fill(0, count($path->steps), []);
        $skipped = $given = [];
        foreach ($acts as $act) {
            switch ($act->kind) {
                case PathActKind::Signed:
                    $signed[$act->step][$act->for ?? $act->by] = $act->by;
                    break;
                case PathActKind::Skipped:
                    $skipped[$act->step] = true;
                    break;
                case PathActKind::Reassigned:
                    $given[$act->step] = $act->to;
                    break;
                case PathActKind::SentBack:
                    // What was done from that stage on was done of something else.
                    foreach ($path->steps as $at => $step) {
                        if ($step->stage >= $act->stage) {
                            $signed[$at] = [];
                            unset($skipped[$at], $given[$at]);
                        }
                    }
            }
        }
        $lacking = $people = [];
        $now = null;
        foreach ($path->steps as $at => $step) {
            $people[$at] = array_values(array_diff($roster->people($given[$at] ?? $step->who), $proposers));
            $lacking[$at] = isset($skipped[$at]) || !$step->isNeeded($facts) ? 0 : self::lacking($step, $people[$at], $signed[$at]);
            if ($lacking[$at] > 0) {
                $now = min($now ?? $step->stage, $step->stage);
            }
        }
        $left = array_filter(
            $path->tasks,
            static fn(PathTask $task, int $at): bool => $task->holdsStage() && !in_array($at, $tasksOver, true),
            ARRAY_FILTER_USE_BOTH,
        );
        foreach ($left as $task) {
            $now = min($now ?? $task->stage, $task->stage);
        }
        $steps = [];
        foreach ($path->steps as $at => $step) {
            $steps[] = new StepRun(
                step: $step,
                standing: match (true) {
                    isset($skipped[$at]) => StepStanding::Skipped,
                    !$step->isNeeded($facts) => StepStanding::NotNeeded,
                    $lacking[$at] === 0 => StepStanding::Done,
                    $step->stage === $now => StepStanding::Now,
                    default => StepStanding::Ahead,
                },
                people: $people[$at],
                signed: $signed[$at],
                lacking: $lacking[$at],
                acting: $lacking[$at] === 0 ? [] : self::able($people[$at], $signed[$at], $roster, $proposers),
            );
        }

        $waitsFor = array_values(array_filter($left, static fn(PathTask $task): bool => $task->stage === $now));

        return new self($steps, $now, $inReview, $waitsFor);
    }

    public function isDone(): bool
    {
        return $this->stage === null;
    }

    /** @return array<int, int> steps that this person can sign now => for whom; none before and after review */
    public function signable(int $person): array
    {
        $can = [];
        foreach ($this->inReview ? $this->steps : [] as $at => $step) {
            if ($step->standing === StepStanding::Now && isset($step->acting[$person])) {
                $can[$at] = $step->acting[$person];
            }
        }

        return $can;
    }

    /** Whether the path asks this person at any step, whoever acts now. */
    public function asks(int $person): bool
    {
        foreach ($this->steps as $step) {
            if (in_array($person, $step->people, true) || isset($step->acting[$person])) {
                return true;
            }
        }

        return false;
    }

    public function awaits(int $person): bool
    {
        return $this->signable($person) !== [];
    }

    /** @return list<int> ids of the people who can sign now, none twice */
    public function acting(): array
    {
        $now = array_filter($this->inReview ? $this->steps : [], static fn(StepRun $step): bool => $step->standing === StepStanding::Now);

        return array_values(array_unique(array_merge(...array_map(static fn(StepRun $step): array => array_keys($step->acting), $now))));
    }

    /** @return list<string> why it cannot come to its end, by whatever who can act does */
    public function stuck(): array
    {
        return array_values(array_filter(array_map(static fn(StepRun $step): string => $step->stuck(), $this->steps)));
    }

    /**
     * @param  list<int>  $people
     * @param  array<int, int>  $signed
     */
    private static function lacking(PathStep $step, array $people, array $signed): int
    {
        if ($step->needed > 0) {
            return max(0, $step->needed - count(array_unique($signed)));
        }
        // All of nobody is nobody: a step is not over because its group is empty.
        $left = count(array_diff($people, array_keys($signed)));

        return $left === 0 && $signed === [] ? 1 : $left;
    }

    /**
     * @param  list<int>  $people
     * @param  array<int, int>  $signed
     * @param  list<int>  $proposers
     * @return array<int, int>
     */
    private static function able(array $people, array $signed, Roster $roster, array $proposers): array
    {
        $acting = [];
        $open = array_diff($people, array_keys($signed));
        // Who signs for themselves comes first: a stand-in is asked for another only where they are not in the step.
        foreach ([true, false] as $themselves) {
            foreach ($open as $person) {
                $actor = $roster->actsFor($person);
                if ($actor === null || ($actor === $person) !== $themselves) {
                    continue;
                }
                if (!in_array($actor, $signed, true) && !in_array($actor, $proposers, true)) {
                    $acting[$actor] ??= $person;
                }
            }
        }

        return $acting;
    }
}
