<?php

declare(strict_types=1);

namespace App\Tasks\Http;

use App\People\Models\Person;
use App\Tasks\Actions\PlanTask;
use App\Tasks\Data\TaskSubjectRow;
use App\Tasks\TaskKind;
use App\Vocabulary\Priority;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** What a task is said to be anew. */
#[
    OA\Schema(
        required: ['kind', 'title', 'text', 'priority', 'checks', 'waits_for', 'version'],
        properties: [
            new OA\Property(property: 'kind', type: 'string', enum: TaskKind::class),
            new OA\Property(property: 'title', type: 'string'),
            new OA\Property(property: 'text', type: 'string'),
            new OA\Property(property: 'due_on', type: 'string', nullable: true),
            new OA\Property(property: 'priority', type: 'string', enum: Priority::class),
            new OA\Property(property: 'estimate_hours', type: 'integer', nullable: true),
            new OA\Property(property: 'checks', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'waits_for', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'before_review', type: 'boolean'),
            new OA\Property(property: 'before_release', type: 'boolean'),
            new OA\Property(property: 'edits', type: 'array', items: new OA\Items(ref: TaskSubjectRow::class)),
            new OA\Property(property: 'version', type: 'integer'),
        ],
    ),
]
final class TaskPlan extends FormRequest
{
    use AsksTask;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [...self::taskRules(), 'version' => 'required|integer|min:1'];
    }

    public function plan(PlanTask $action, Person $by, string $number): void
    {
        $action(
            $by,
            $number,
            kind: TaskKind::from($this->text('kind')),
            title: $this->text('title'),
            text: $this->text('text'),
            dueOn: $this->due(),
            priority: Priority::from($this->text('priority')),
            estimateHours: $this->hours(),
            checks: $this->texts('checks'),
            waitsFor: $this->texts('waits_for'),
            subjects: $this->subjects(),
            beforeReview: $this->boolean('before_review'),
            beforeRelease: $this->boolean('before_release'),
            version: $this->integer('version'),
        );
    }
}
