<?php

declare(strict_types=1);

namespace App\Orders\Paths;

use App\Orders\Duties\Duties;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\Signature;
use App\Tasks\Models\ChangeTask;
use Orthotaxis\Core\Approval\Facts;
use Orthotaxis\Core\Approval\Path;
use Orthotaxis\Core\Approval\PathAct;
use Orthotaxis\Core\Approval\PathActKind;
use Orthotaxis\Core\Approval\PathTask;
use Orthotaxis\Core\Approval\Progress;
use Orthotaxis\Core\Approval\Roster;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Rights\Duty;
use Orthotaxis\Core\Task\TaskState;

/** How far an order has come on its path. */
final readonly class OrderProgress
{
    /** @param  list<int>  $proposers  ids of who raised and edited it, who judge nothing of it */
    public static function of(ChangeOrder $order, array $proposers): Progress
    {
        $path = self::path($order);
        $acts = [];
        $names = [];
        foreach ($path->steps as $step) {
            array_push($names, ...$step->who);
        }
        foreach ($order->signatures->sortBy('id') as $one) {
            $acts[] = $act = self::act($one);
            array_push($names, ...$act->to);
        }

        return Progress::of(
            $path,
            new Facts($order->facts),
            self::roster($order, array_values(array_unique($names))),
            $acts,
            [...$proposers, ...array_keys(app(Duties::class)->barred(Duty::Sign, $order))],
            $order->state === OrderState::InReview,
            self::tasksOver($order, $path),
        );
    }

    public static function path(ChangeOrder $order): Path
    {
        $order->loadMissing('path');

        return $order->path?->path() ?? Path::oneSigner();
    }

    /** @return list<int> places of the tasks of its path that are done or withdrawn */
    private static function tasksOver(ChangeOrder $order, Path $path): array
    {
        if (array_filter($path->tasks, static fn(PathTask $task): bool => $task->holdsStage()) === []) {
            return [];
        }

        return array_values(
            ChangeTask::query()
                ->where('change', $order->number)
                ->where('path_id', $order->path_id)
                ->whereNotIn('state', TaskState::ahead())
                ->pluck('path_place')
                ->map(static fn(mixed $place): int => (int) $place)
                ->all(),
        );
    }

    private static function act(Signature $one): PathAct
    {
        return match (PathActKind::from($one->meaning)) {
            PathActKind::Signed => PathAct::signed($one->step, $one->person_id, $one->for_id),
            PathActKind::Skipped => PathAct::skipped($one->step),
            PathActKind::Reassigned => PathAct::reassigned($one->step, $one->given_to),
            PathActKind::SentBack => PathAct::sentBack($one->step, $one->stage),
        };
    }

    /**
     * Asked several times of an order that is read once: who is who is kept as long as the order is.
     *
     * @param  list<string>  $names
     */
    private static function roster(ChangeOrder $order, array $names): Roster
    {
        /** @var ?\WeakMap<ChangeOrder, array<string, Roster>> $known */
        static $known = null;
        $known ??= new \WeakMap();
        $key = $order->signer_id . ' ' . implode(' ', $names);
        $ofOrder = $known[$order] ?? [];
        $ofOrder[$key] ??= RosterReader::of($order, $names);
        $known[$order] = $ofOrder;

        return $ofOrder[$key];
    }
}
