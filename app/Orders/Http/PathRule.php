<?php

declare(strict_types=1);

namespace App\Orders\Http;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Approval\Fact;
use Orthotaxis\Core\Approval\Meaning;

/** An approval path, step by step. */
#[
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
                description: 'sign-in names, groups as group: and their code, role:signer for the signer of the order',
            ),
            new OA\Property(property: 'needed', type: 'integer', description: 'how many of them; 0: all'),
            new OA\Property(property: 'meaning', type: 'string', enum: Meaning::class),
            new OA\Property(property: 'with_password', type: 'boolean'),
            new OA\Property(property: 'due_days', type: 'integer', nullable: true, description: 'working days'),
            new OA\Property(
                property: 'conditions',
                type: 'array',
                items: new OA\Items(
                    required: ['fact', 'values'],
                    properties: [
                        new OA\Property(property: 'fact', type: 'string', enum: Fact::class),
                        new OA\Property(property: 'values', type: 'array', items: new OA\Items(type: 'string')),
                    ],
                ),
            ),
            new OA\Property(property: 'back_to', type: 'array', items: new OA\Items(type: 'integer'), description: 'stages; 0: the editor'),
            new OA\Property(property: 'remind_days', type: 'integer', nullable: true, description: 'working days before it is due'),
            new OA\Property(property: 'escalate_days', type: 'integer', nullable: true, description: 'working days after it was due'),
            new OA\Property(
                property: 'escalate_to',
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'sign-in names, groups as group: and their code; none: whoever raised the order',
            ),
        ],
    ),
    OA\Schema(
        schema: 'PathRule',
        required: ['name', 'steps', 'retired'],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'steps', type: 'array', items: new OA\Items(ref: '#/components/schemas/PathStepRule')),
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
            'retired' => 'required|boolean',
            'version' => 'nullable|integer|min:1',
            ...self::ofSteps(),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give it a name.',
            ...self::aboutSteps(),
        ];
    }
}
