<?php

declare(strict_types=1);

namespace App\CutIn\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\Disposition;

/** Which parts take the place of which, and what people turn to see what it does. What is left out is assumed. */
#[
    OA\Schema(
        required: ['pairs'],
        properties: [
            new OA\Property(
                property: 'pairs',
                type: 'array',
                items: new OA\Items(
                    required: ['old', 'new'],
                    properties: [
                        new OA\Property(property: 'old', type: 'string', description: 'item number'),
                        new OA\Property(property: 'new', type: 'string', description: 'item number'),
                        new OA\Property(property: 'ratio', type: 'string', description: 'of the new for one of the old'),
                        new OA\Property(property: 'keep', type: 'string', description: 'of the old for service'),
                        new OA\Property(property: 'disposition', type: 'string', enum: Disposition::class),
                        new OA\Property(property: 'disposal', type: 'string', description: 'what it costs to be rid of one'),
                        new OA\Property(
                            property: 'rework_percent',
                            type: 'integer',
                            description: 'of what is left over, that can be reworked instead',
                        ),
                        new OA\Property(property: 'rework_cost', type: 'string', description: 'what it costs to rework one'),
                        new OA\Property(
                            property: 'sooner_days',
                            type: 'integer',
                            description: 'by how much a new order of the new part can be expedited',
                        ),
                        new OA\Property(property: 'sooner_cost', type: 'string', description: 'what that costs, once'),
                    ],
                ),
            ),
            new OA\Property(property: 'approval_days', type: 'integer'),
            new OA\Property(property: 'tooling_on', type: 'string', description: 'the day on which tools and programs are ready'),
            new OA\Property(property: 'prescribed_on', type: 'string'),
            new OA\Property(property: 'per_straddling_order', type: 'string'),
            new OA\Property(property: 'expedite_percent', type: 'integer'),
            new OA\Property(property: 'not_cancelled', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'plant', type: 'string', description: 'as which demand is exploded; left out: the first'),
            new OA\Property(property: 'anew', type: 'boolean', description: 'ask planning even if it told a moment ago'),
        ],
    ),
]
final class CutInQuestion extends FormRequest
{
    use AsksCutIn;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return $this->questionRules() + ['anew' => 'nullable|boolean'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return $this->questionMessages();
    }
}
