<?php

declare(strict_types=1);

namespace App\Paths;

use App\Tasks\Models\ChangeTask;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Orthotaxis\Core\Approval\PathTask;
use Orthotaxis\Core\Task\TaskState;

/** The tasks that the path of a change has made, as far as a stage waits for them. */
final readonly class PathTasks
{
    /** @return list<int> places of those that are done or withdrawn */
    public static function over(Judged $change): array
    {
        if (self::held($change) === []) {
            return [];
        }

        return array_values(
            self::made($change)
                ->whereNotIn('state', TaskState::ahead())
                ->pluck('path_place')
                ->map(static fn(mixed $place): int => (int) $place)
                ->all(),
        );
    }

    /** When the last of the stages before a stage was done; null: there was none. */
    public static function doneBefore(Judged $change, int $stage): ?CarbonImmutable
    {
        $tasks = array_filter(self::held($change), static fn(PathTask $task): bool => $task->stage < $stage);

        return $tasks === []
            ? null
            : self::made($change)->whereIn('path_place', array_keys($tasks))->whereNotNull('ended_at')->orderByDesc('ended_at')->first()
                ?->ended_at;
    }

    /** Whether a task was what the stage before waited for, and the change has gone on from there. */
    public static function isLeft(Judged $change, string $task, ?int $stage): bool
    {
        $made = self::made($change)->where('number', $task)->first();
        $of = $change->path()->tasks[$made->path_place ?? -1] ?? null;

        return $of?->holdsStage() === true && ($stage === null || $stage > $of->stage);
    }

    /** @return array<int, PathTask> by place */
    private static function held(Judged $change): array
    {
        return array_filter($change->path()->tasks, static fn(PathTask $task): bool => $task->holdsStage());
    }

    /** @return Builder<ChangeTask> */
    private static function made(Judged $change): Builder
    {
        return ChangeTask::query()->where('change', $change->number())->where('path_id', $change->approvalPath()?->id);
    }
}
