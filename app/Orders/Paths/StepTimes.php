<?php

declare(strict_types=1);

namespace App\Orders\Paths;

use App\Days\OfficeDays;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\Signature;
use App\Tasks\Models\ChangeTask;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Approval\PathStep;
use Orthotaxis\Core\Approval\PathTask;
use Orthotaxis\Core\Approval\Progress;
use Orthotaxis\Core\Approval\StepStanding;
use Orthotaxis\Core\Calendar\Day;

/** Since when it is the turn of the steps of a path, and by when they are due. */
final readonly class StepTimes
{
    /**
     * The stage before was done then, its tasks too, or the order was sent to review.
     *
     * @return array<int, CarbonImmutable> by place of the step; only of those whose turn it is
     */
    public static function since(ChangeOrder $order, Progress $progress): array
    {
        $held = $order->signatures->where('void', false)->sortBy('id');
        $since = [];
        foreach ($progress->steps as $at => $run) {
            if ($run->standing !== StepStanding::Now || $order->sent_to_review_at === null) {
                continue;
            }
            $stage = $run->step->stage;
            $before = $held->filter(static fn(Signature $one): bool => ($progress->steps[$one->step]->step->stage ?? $stage) < $stage);
            $began = $before->last()->signed_at ?? $order->sent_to_review_at;
            $done = self::tasksDone($order, $stage);
            $since[$at] = $done?->isAfter($began) === true ? $done : $began;
        }

        return $since;
    }

    /** When the last task of the stages before was done; null: there was none. */
    private static function tasksDone(ChangeOrder $order, int $stage): ?CarbonImmutable
    {
        $tasks = array_filter(
            OrderProgress::path($order)->tasks,
            static fn(PathTask $task): bool => $task->holdsStage() && $task->stage < $stage,
        );

        return $tasks === []
            ? null
            : ChangeTask::query()
                ->where('change', $order->number)
                ->where('path_id', $order->path_id)
                ->whereIn('path_place', array_keys($tasks))
                ->whereNotNull('ended_at')
                ->orderByDesc('ended_at')
                ->first()?->ended_at;
    }

    /** @param  int  $moved  days by which what is due has moved while the order was on hold */
    public static function due(PathStep $step, CarbonImmutable $since, int $moved): ?Day
    {
        return $step->dueDays === null ? null : OfficeDays::after(Day::of($since), $step->dueDays)->plusDays($moved);
    }
}
