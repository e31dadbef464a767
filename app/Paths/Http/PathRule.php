<?php

declare(strict_types=1);

namespace App\Paths\Http;

use App\Paths\Judges;
use App\Tasks\TaskKind;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Approval\Fact;
use Orthotaxis\Core\Approval\Meaning;
use Orthotaxis\Core\Content\Subject;

/** An approval path, step by step. */
#[
    OA\Schema(
        schema: 'PathCondition',
        required: ['fact', 'values'],
        properties: [
            new OA\Property(property: 'fact', type: 'string', enum: Fact::class),
            new OA\Property(property: 'values', type: 'array', items: new OA\Items(type: 'string')),
        ],
    ),
    OA\Schema(
        schema: 'PathTaskRule',
        required: ['stage', 'kind', 'title', 'to', 'holds', 'due_days', 'checks', 'edits'],
        properties: [
            new OA\Property(
                property: 'stage',
                type: 'integer',
                nullable: true,
                description: 'with which it is made; 0: while the order is revised; null: once it is released',
            ),
            new OA\Property(property: 'kind', type: 'string', enum: TaskKind::class),
            new OA\Property(property: 'title', type: 'string'),
            new OA\Property(property: 'to', type: 'string', description: 'as in who of a step'),
            new OA\Property(property: 'holds', type: 'boolean', description: 'whether the stage is not over before it is done'),
            new OA\Property(property: 'due_days', type: 'integer', nullable: true, description: 'working days from when it is made'),
            new OA\Property(property: 'checks', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(
                property: 'edits',
                type: 'array',
                items: new OA\Items(type: 'string', enum: [Subject::ENGINEERING, Subject::MANUFACTURING, Subject::ITEM_DATA]),
                description: 'kinds of what it edits of the order',
            ),
        ],
    ),
    OA\Schema(
        schema: 'PathStepRule',
        required: ['name', 'stage', 'who', 'needed', 'meaning', 'with_password', 'due_days', 'conditions', 'back_to'],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'stage', type: 'integer', description: 'steps of one stage run side by side'),
            new OA\Property(
                property: 'who',
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'sign-in names, groups as group: and their code, role: and signer, originator, owner or planner',
            ),
            new OA\Property(property: 'needed', type: 'integer', description: 'how many of them; 0: all'),
            new OA\Property(property: 'meaning', type: 'string', enum: Meaning::class),
            new OA\Property(property: 'with_password', type: 'boolean'),
            new OA\Property(property: 'due_days', type: 'integer', nullable: true, description: 'working days'),
            new OA\Property(property: 'conditions', type: 'array', items: new OA\Items(ref: '#/components/schemas/PathCondition')),
            new OA\Property(property: 'back_to', type: 'array', items: new OA\Items(type: 'integer'), description: 'stages; 0: the editor'),
            new OA\Property(property: 'remind_days', type: 'integer', nullable: true, description: 'working days before it is due'),
            new OA\Property(property: 'escalate_days', type: 'integer', nullable: true, description: 'working days after it was due'),
            new OA\Property(
                property: 'escalate_to',
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'sign-in names, groups as group: and their code; none: whoever raised the order',
            ),
            new OA\Property(
                property: 'checks',
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'what whoever signs ticks first',
            ),
        ],
    ),
    OA\Schema(
        schema: 'PathRule',
        required: ['name', 'steps', 'retired'],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(
                property: 'judges',
                type: 'string',
                enum: Judges::class,
                description: 'orders where nothing is said; a later version judges the same',
            ),
            new OA\Property(property: 'steps', type: 'array', items: new OA\Items(ref: '#/components/schemas/PathStepRule')),
            new OA\Property(property: 'tasks', type: 'array', items: new OA\Items(ref: '#/components/schemas/PathTaskRule')),
            new OA\Property(property: 'sends_itself', type: 'boolean'),
            new OA\Property(
                property: 'chosen_when',
                type: 'array',
                items: new OA\Items(ref: '#/components/schemas/PathCondition'),
                nullable: true,
            ),
            new OA\Property(property: 'rank', type: 'integer'),
            new OA\Property(property: 'retired', type: 'boolean'),
            new OA\Property(property: 'version', type: 'integer', nullable: true),
        ],
    ),
]
final class PathRule extends AsksPathSteps
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => 'bail|required|string|max:80',
            'judges' => Rule::enum(Judges::class),
            'retired' => 'required|boolean',
            'version' => 'nullable|integer|min:1',
            'sends_itself' => 'boolean',
            'rank' => 'integer|between:0,1000',
            'chosen_when' => 'nullable|array|max:10',
            'chosen_when.*.fact' => ['required', Rule::enum(Fact::class)],
            'chosen_when.*.values' => 'present|array|max:50',
            'chosen_when.*.values.*' => 'required|string|max:60',
            ...self::ofSteps(),
        ];
    }

    /**
     * @return array{name: string, judges: Judges, steps: list<array<string, mixed>>, tasks: list<array<string, mixed>>, sends_itself: bool,
     *     chosen_when: ?list<array{fact: string, values: list<string>}>, rank: int, retired: bool}
     */
    public function rule(): array
    {
        /** @var ?array<array{fact: string, values: list<string>}> $chosen */
        $chosen = $this->validated('chosen_when');

        return [
            'name' => $this->string('name')->trim()->toString(),
            'judges' => Judges::tryFrom($this->string('judges')->toString()) ?? Judges::Orders,
            'steps' => $this->steps(),
            'tasks' => $this->tasks(),
            'sends_itself' => $this->boolean('sends_itself'),
            'chosen_when' => $chosen === null ? null : array_values($chosen),
            'rank' => $this->integer('rank'),
            'retired' => $this->boolean('retired'),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give it a name.',
            'rank.*' => 'Give a whole number from 0 to 1,000.',
            ...self::aboutSteps(),
        ];
    }
}
