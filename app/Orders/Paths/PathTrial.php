<?php

declare(strict_types=1);

namespace App\Orders\Paths;

use App\Orders\Data\PathTrialPage;
use App\Orders\Data\PathTrialStep;
use App\Orders\Data\PathTrialTask;
use App\Orders\Data\TrialFact;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\People\Models\Person;
use Orthotaxis\Core\Approval\Condition;
use Orthotaxis\Core\Approval\Fact;
use Orthotaxis\Core\Approval\Facts;
use Orthotaxis\Core\Approval\Path;
use Orthotaxis\Core\Approval\PathTask;
use Orthotaxis\Core\Approval\Progress;
use Orthotaxis\Core\Approval\StepRun;

/**
 * How a path would run on any order, past ones too, before it is switched on. What was so when the order was sent to review is taken as it
 * was; the people are those of today. Nothing is kept.
 */
final readonly class PathTrial
{
    public function __construct(private OrderReader $orders, private FactsOfOrder $facts) {}

    public function of(Path $path, ChangeOrder $order): PathTrialPage
    {
        $core = $this->orders->toCore($order);
        $facts = $order->facts !== [] ? $order->facts : $this->facts->of($order, $core);
        $names = array_merge(...array_map(static fn($step): array => $step->who, $path->steps));
        $progress = Progress::of(
            $path,
            new Facts($facts),
            RosterReader::of($order, array_values(array_unique($names))),
            [],
            $core->proposers(),
            true,
        );
        $ids = array_merge(
            ...array_map(static fn(StepRun $run): array => [...$run->people, ...array_keys($run->acting)], $progress->steps),
        );
        /** @var array<int, string> $people */
        $people = Person::query()->whereIn('id', $ids)->pluck('name', 'id')->all();

        return new PathTrialPage(
            order: $order->number,
            title: $order->title,
            facts: array_map(
                static fn(Fact $fact): TrialFact => new TrialFact($fact->value, $facts[$fact->value] ?? []),
                self::asked($path),
            ),
            tasks: array_map(
                static fn(PathTask $task): PathTrialTask => new PathTrialTask(
                    $task->stage,
                    $task->title,
                    RolesOfChange::named($order, $task->to),
                ),
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
