<?php

declare(strict_types=1);

namespace App\Orders\Http;

use OpenApi\Attributes as OA;

/** A path, and the order on which it is tried out. */
#[
    OA\Schema(
        schema: 'PathTrial',
        required: ['order', 'steps'],
        properties: [
            new OA\Property(property: 'order', type: 'string', description: 'number'),
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
        return ['order' => 'required|string|max:40', ...self::ofSteps()];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['order.*' => 'Choose an order.', ...self::aboutSteps()];
    }
}
