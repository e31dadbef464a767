<?php

declare(strict_types=1);

namespace App\Paths\Http;

use OpenApi\Attributes as OA;

/** A path, and the change on which it is tried out. */
#[
    OA\Schema(
        schema: 'PathTrial',
        required: ['change', 'steps'],
        properties: [
            new OA\Property(property: 'change', type: 'string', description: 'number of an order or a request'),
            new OA\Property(property: 'steps', type: 'array', items: new OA\Items(ref: '#/components/schemas/PathStepRule')),
            new OA\Property(property: 'tasks', type: 'array', items: new OA\Items(ref: '#/components/schemas/PathTaskRule')),
        ],
    ),
]
final class PathTrialRequest extends AsksPathSteps
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['change' => 'required|string|max:40', ...self::ofSteps()];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['change.*' => 'Choose a change.', ...self::aboutSteps()];
    }
}
