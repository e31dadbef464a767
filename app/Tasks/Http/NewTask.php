<?php

declare(strict_types=1);

namespace App\Tasks\Http;

use App\Tasks\Assignee;
use App\Tasks\Data\TaskSubjectRow;
use App\Tasks\PlannedTask;
use App\Tasks\TaskKind;
use App\Vocabulary\Priority;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Something that somebody is to do. */
#[
    OA\Schema(
        required: ['to', 'kind', 'title', 'text', 'priority', 'checks', 'waits_for'],
        properties: [
            new OA\Property(property: 'to', type: 'string', description: 'sign-in name of a person, or group: and the code of a group'),
            new OA\Property(property: 'kind', type: 'string', enum: TaskKind::class),
            new OA\Property(property: 'title', type: 'string'),
            new OA\Property(property: 'text', type: 'string'),
            new OA\Property(property: 'due_on', type: 'string', nullable: true),
            new OA\Property(property: 'priority', type: 'string', enum: Priority::class),
            new OA\Property(property: 'estimate_hours', type: 'integer', nullable: true),
            new OA\Property(property: 'checks', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(
                property: 'waits_for',
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'numbers of tasks of the same change',
            ),
            new OA\Property(property: 'before_review', type: 'boolean', description: 'whether its order waits for it before review'),
            new OA\Property(property: 'before_release', type: 'boolean', description: 'whether its order waits for it before release'),
            new OA\Property(property: 'edits', type: 'array', items: new OA\Items(ref: TaskSubjectRow::class)),
        ],
    ),
]
final class NewTask extends FormRequest
{
    use AsksTask;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['to' => 'bail|required|string|max:80', ...self::taskRules()];
    }

    public function planned(): PlannedTask
    {
        return new PlannedTask(
            to: Assignee::named($this->text('to')),
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
        );
    }
}
