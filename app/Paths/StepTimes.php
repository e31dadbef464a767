<?php

declare(strict_types=1);

namespace App\Paths;

use App\Days\OfficeDays;
use App\Paths\Models\Signature;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Approval\PathStep;
use Orthotaxis\Core\Approval\Progress;
use Orthotaxis\Core\Approval\StepStanding;
use Orthotaxis\Core\Calendar\Day;

/** Since when it is the turn of the steps of a path, and by when they are due. */
final readonly class StepTimes
{
    /**
     * The stage before was done then, its tasks too, or the change began to be judged.
     *
     * @return array<int, CarbonImmutable> by place of the step; only of those whose turn it is
     */
    public static function since(Judged $change, Progress $progress): array
    {
        $held = $change->signatures()->where('void', false)->sortBy('id');
        $since = [];
        foreach ($progress->steps as $at => $run) {
            $start = $change->began();
            if ($run->standing !== StepStanding::Now || $start === null) {
                continue;
            }
            $stage = $run->step->stage;
            $before = $held->filter(static fn(Signature $one): bool => ($progress->steps[$one->step]->step->stage ?? $stage) < $stage);
            $began = $before->last()->signed_at ?? $start;
            $done = PathTasks::doneBefore($change, $stage);
            $since[$at] = $done?->isAfter($began) === true ? $done : $began;
        }

        return $since;
    }

    /** @param  int  $moved  days by which what is due has moved while the change was on hold */
    public static function due(PathStep $step, CarbonImmutable $since, int $moved): ?Day
    {
        return $step->dueDays === null ? null : OfficeDays::after(Day::of($since), $step->dueDays)->plusDays($moved);
    }
}
