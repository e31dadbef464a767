<?php

declare(strict_types=1);

namespace App\Tasks\Actions;

use App\Attachments\Said\SaidFile;
use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Tasks\Events\CheckTicked;
use App\Tasks\Events\TaskCommented;
use App\Tasks\Models\ChangeTask;
use App\Tasks\Models\TaskComment;
use Carbon\CarbonImmutable;
use Illuminate\Http\UploadedFile;
use Orthotaxis\Core\Refusal;

/** Ticks what is done of a task, and says something on it. */
final readonly class WorkOnTask
{
    public function __construct(private Ledger $ledger) {}

    /** @throws Refusal when somebody else has the task */
    public function tick(Person $by, string $number, int $place, bool $ticked): void
    {
        $this->ledger->together(static function () use ($by, $number, $place, $ticked): void {
            $task = ChangeTask::hold($number);
            if (!$task->standing()->isHeldBy($by->id)) {
                throw Refusal::at('checks', 'Only who has claimed the task ticks its check list.');
            }
            $check = $task->checks()->where('place', $place)->firstOrFail();
            if (($check->ticked_at !== null) === $ticked) {
                return;
            }
            $task
                ->checks()
                ->where('place', $place)
                ->update(['ticked_by' => $ticked ? $by->id : null, 'ticked_at' => $ticked ? CarbonImmutable::now() : null]);
            $task->update(['version' => $task->version + 1]);
            event(new CheckTicked($by->login, $task->change, task: $number, check: $check->text, ticked: $ticked));
        });
    }

    /**
     * @param  list<UploadedFile>  $files
     *
     * @throws Refusal at a file that cannot be shown
     */
    public function comment(Person $by, string $number, string $text, array $files = []): void
    {
        $this->ledger->together(static function () use ($by, $number, $text, $files): void {
            $task = ChangeTask::hold($number);
            $comment = TaskComment::query()->create([
                'task_id' => $task->id,
                'person_id' => $by->id,
                'text' => $text,
                'made_at' => CarbonImmutable::now(),
            ]);
            $kept = SaidFile::keep('task_comment_id', $comment->id, $files);
            event(new TaskCommented($by->login, $task->change, task: $number, text: $text, files: $kept));
        });
    }
}
