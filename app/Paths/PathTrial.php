<?php

declare(strict_types=1);

namespace App\Paths;

use App\Paths\Data\PathTrialPage;
use App\Paths\Data\PathTrialStep;
use App\Paths\Data\PathTrialTask;
use App\Paths\Data\TrialFact;
use App\People\Models\Person;
use Orthotaxis\Core\Approval\Condition;
use Orthotaxis\Core\Approval\Fact;
use Orthotaxis\Core\Approval\Facts;
use Orthotaxis\Core\Approval\Path;
use Orthotaxis\Core\Approval\PathTask;
use Orthotaxis\Core\Approval\Progress;
use Orthotaxis\Core\Approval\StepRun;

/**
 * How a path would run on any change, past ones too, before it is switched on. What was so when the change was judged is taken as it was;
 * the people are those of today. Nothing is kept.
 */
final readonly class PathTrial
{
    /** @param  array<string, list<string>>  $facts  by fact */
    public static function of(Path $path, Judged $change, string $title, array $facts): PathTrialPage
    {
        $names = array_merge(...array_map(static fn($step): array => $step->who, $path->steps));
        $progress = Progress::of(
            $path,
            new Facts($facts),
            RosterReader::of($change, array_values(array_unique($names))),
            [],
            $change->barred(),
            true,
        );
        $ids = array_merge(
            ...array_map(static fn(StepRun $run): array => [...$run->people, ...array_keys($run->acting)], $progress->steps),
        );
        /** @var array<int, string> $people */
        $people = Person::query()->whereIn('id', $ids)->pluck('name', 'id')->all();

        return new PathTrialPage(
            change: $change->number(),
            title: $title,
            facts: array_map(
                static fn(Fact $fact): TrialFact => new TrialFact($fact->value, $facts[$fact->value] ?? []),
                self::asked($path),
            ),
            tasks: array_map(
                static fn(PathTask $task): PathTrialTask => new PathTrialTask($task->stage, $task->title, $change->named($task->to)),
                $path->tasks,
            ),
            steps: array_map(static fn(StepRun $run): PathTrialStep => PathTrialStep::of($run, $people), $progress->steps),
        );
    }

    /** @return list<Fact> on which its steps depend, each once */
    private static function asked(Path $path): array
    {
        $asked = [];
        foreach ($path->steps as $step) {
            foreach ($step->conditions as $condition) {
                /** @var Condition $condition */
                $asked[$condition->fact->value] = $condition->fact;
            }
        }

        return array_values($asked);
    }
}
