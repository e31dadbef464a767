<?php

declare(strict_types=1);

namespace App\Tasks\Data;

use App\Http\Api\ListOf;
use App\People\Ability;
use App\People\Models\Person;
use App\Tasks\ChangesOfTasks;
use App\Tasks\Models\ChangeTask;
use App\Tasks\Models\TaskCheck;
use App\Tasks\Models\TaskComment;
use App\Tasks\Models\TaskSubject;
use Illuminate\Database\Eloquent\Collection;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Task\TaskState;

/** A task with all that is said of it, and what whoever reads this may do with it. */
#[OA\Schema]
final readonly class TaskPage
{
    /**
     * @param  list<TaskCheckRow>  $checks
     * @param  list<TaskRow>  $waits  tasks before it, done or not
     * @param  list<TaskRow>  $others  of the same change
     * @param  list<TaskSubjectRow>  $edits  what it edits of the order that it is for
     * @param  list<EditableItem>  $editable  what it could edit, for who plans it
     * @param  list<'review'|'release'>  $may_wait
     * @param  list<TaskCommentRow>  $comments
     * @param  list<string>  $may  claim, hand_back, hand_on, finish, plan, withdraw, reopen, comment
     */
    private function __construct(
        #[OA\Property] public TaskRow $task,
        #[OA\Property] public string $change_title,
        #[OA\Property] public string $text,
        #[OA\Property] public string $result,
        #[OA\Property(description: 'whether its order is not sent to review before it is done')] public bool $before_review,
        #[OA\Property(description: 'whether its order is not released before it is done')] public bool $before_release,
        #[OA\Property] public string $made_by,
        #[OA\Property] public string $made_at,
        #[OA\Property] public ?string $ended_at,
        #[ListOf(TaskCheckRow::class)] public array $checks,
        #[ListOf(TaskRow::class)] public array $waits,
        #[ListOf(TaskRow::class)] public array $others,
        #[ListOf(TaskSubjectRow::class)] public array $edits,
        #[ListOf(EditableItem::class)] public array $editable,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(type: 'string', enum: ['review', 'release']),
                description: 'what of its order may wait for it',
            ),
        ]
        public array $may_wait,
        #[ListOf(TaskCommentRow::class)] public array $comments,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(
                    type: 'string',
                    enum: ['claim', 'hand_back', 'hand_on', 'finish', 'plan', 'withdraw', 'reopen', 'comment'],
                ),
            ),
        ]
        public array $may,
        #[OA\Property(description: 'why it cannot be done yet, for who has it; empty: it can')] public string $lacks,
    ) {}

    /**
     * @param  Collection<int, ChangeTask>  $all  of its change, whole
     */
    public static function of(string $number, Collection $all, ChangesOfTasks $changes, Person $reader): self
    {
        $task = $all->where('number', $number)->firstOrFail();
        $task->load(['checks.ticker', 'comments.person', 'comments.files', 'subjects.item:id,number']);
        $before = $task->waits->modelKeys();
        $work = $changes->work($task->change);
        $row = static fn(ChangeTask $one): TaskRow => TaskRow::of($one, $reader);

        return new self(
            task: $row($task),
            change_title: $changes->title($task->change),
            text: $task->text,
            result: $task->result,
            before_review: $task->before_review || $task->subjects->isNotEmpty(),
            before_release: $task->before_release,
            made_by: $task->maker->name,
            made_at: $task->made_at->toIso8601String(),
            ended_at: $task->ended_at?->toIso8601String(),
            checks: array_values($task->checks->map(static fn(TaskCheck $one): TaskCheckRow => TaskCheckRow::of($one))->all()),
            waits: array_values($all->whereIn('id', $before)->map($row)->all()),
            others: array_values($all->where('id', '!=', $task->id)->map($row)->all()),
            edits: array_values($task->subjects->map(static fn(TaskSubject $one): TaskSubjectRow => TaskSubjectRow::of($one))->all()),
            editable: $work->editable,
            may_wait: $work->mayWait,
            comments: array_values($task->comments->map(static fn(TaskComment $one): TaskCommentRow => TaskCommentRow::of($one))->all()),
            may: self::acts($task, $reader),
            lacks: self::lacks($task, $reader),
        );
    }

    /** @return list<string> */
    private static function acts(ChangeTask $task, Person $reader): array
    {
        if (!$reader->mayDo(Ability::DoTask, $task->number)) {
            return [];
        }
        $standing = $task->standing();
        $manages = $reader->mayDo(Ability::ManageTasks, $task->number);
        $holds = $standing->isHeldBy($reader->id);
        $isClaimed = $task->state === TaskState::Claimed;
        $acts = [
            'claim' => $standing->mayClaim($reader->id),
            'finish' => $holds,
            'hand_on' => $holds || ($manages && $task->state->isOpen()),
            'hand_back' => $isClaimed && $standing->hasOthers() && ($holds || $manages),
            'plan' => $manages && $task->state->isOpen(),
            'withdraw' => $manages && $task->state->isOpen(),
            'reopen' => $manages && !$task->state->isOpen(),
            'comment' => true,
        ];

        return array_keys(array_filter($acts));
    }

    private static function lacks(ChangeTask $task, Person $reader): string
    {
        $standing = $task->standing();
        if (!$standing->isHeldBy($reader->id)) {
            return '';
        }
        try {
            $standing->finish($reader->id);
        } catch (Refusal $refusal) {
            return $refusal->getMessage();
        }

        return '';
    }
}
