<?php

declare(strict_types=1);

namespace App\Tasks\Data;

use App\Days\Today;
use App\Http\Api\ListOf;
use App\People\Models\Person;
use App\Tasks\Models\ChangeTask;
use App\Tasks\TaskKind;
use App\Vocabulary\Priority;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Task\TaskState;

/** A task among others. */
#[OA\Schema]
final readonly class TaskRow
{
    /** @param  list<string>  $waits_for  numbers of the tasks before it that are not done */
    private function __construct(
        #[OA\Property] public string $number,
        #[OA\Property(description: 'number of the report, request or order')] public string $change,
        #[OA\Property(enum: TaskKind::class)] public string $kind,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'the person or the group that it is for')] public string $to,
        #[OA\Property(description: 'who has it, or had it when it ended')] public ?string $holder,
        #[OA\Property(enum: TaskState::class)] public string $state,
        #[OA\Property] public ?string $due_on,
        #[OA\Property] public bool $overdue,
        #[OA\Property(enum: Priority::class)] public string $priority,
        #[OA\Property] public ?int $estimate_hours,
        #[OA\Property(description: 'rows of its check list that are ticked')] public int $ticked,
        #[OA\Property(description: 'rows of its check list')] public int $checks,
        #[ListOf('string')] public array $waits_for,
        #[OA\Property(description: 'whether whoever reads this has it, or may claim it')] public bool $mine,
        #[OA\Property] public int $version,
    ) {}

    /** @param  ChangeTask  $task  whole */
    public static function of(ChangeTask $task, Person $reader): self
    {
        return new self(
            number: $task->number,
            change: $task->change,
            kind: $task->kind->value,
            title: $task->title,
            to: $task->person->name ?? ($task->group->name ?? ''),
            holder: $task->holder?->name,
            state: $task->state->value,
            due_on: $task->due_on,
            overdue: $task->state->isOpen() && $task->due_on !== null && $task->due_on < (string) Today::day(),
            priority: $task->priority->value,
            estimate_hours: $task->estimate_hours,
            ticked: $task->checks->whereNotNull('ticked_at')->count(),
            checks: $task->checks->count(),
            waits_for: array_values(
                $task->waits
                    ->filter(static fn(ChangeTask $one): bool => $one->state->isOpen())
                    ->map(static fn(ChangeTask $one): string => $one->number)
                    ->all(),
            ),
            mine: $task->standing()->needs($reader->id),
            version: $task->version,
        );
    }
}
