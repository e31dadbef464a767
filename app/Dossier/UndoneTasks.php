<?php

declare(strict_types=1);

namespace App\Dossier;

use App\Tasks\Models\ChangeTask;
use Orthotaxis\Core\Task\TaskState;

/** Which of some changes have tasks that are not done, and which of them are not released before that. */
final readonly class UndoneTasks
{
    /** @param  array<string, bool>  $hold  whether the release waits for one of them, by change that has any */
    private function __construct(private array $hold) {}

    /** @param  list<string>  $numbers  of changes */
    public static function of(array $numbers): self
    {
        $hold = [];
        foreach (
            ChangeTask::query()
                ->whereIn('change', $numbers)
                ->whereIn('state', TaskState::ahead())
                ->get(['change', 'before_release'])
            as $task
        ) {
            $hold[$task->change] = ($hold[$task->change] ?? false) || $task->before_release;
        }

        return new self($hold);
    }

    public function has(string $number): bool
    {
        return isset($this->hold[$number]);
    }

    public function holdRelease(string $number): bool
    {
        return $this->hold[$number] ?? false;
    }
}
