<?php

declare(strict_types=1);

namespace App\CutIn\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** The question to the planner, and how uncertain demand and lead times are. */
#[
    OA\Schema(
        allOf: [
            new OA\Schema(ref: CutInQuestion::class),
            new OA\Schema(
                required: ['spread_demand', 'spread_lead'],
                properties: [
                    new OA\Property(property: 'spread_demand', type: 'integer', description: 'percent to either side'),
                    new OA\Property(property: 'spread_lead', type: 'integer', description: 'percent to either side'),
                ],
            ),
        ],
    ),
]
final class CutInChanceQuestion extends FormRequest
{
    use AsksCutIn;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'spread_demand' => 'required|integer|between:0,90',
            'spread_lead' => 'required|integer|between:0,90',
            ...$this->questionRules(),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'spread_demand.*' => 'Whole percent, at most 90.',
            'spread_lead.*' => 'Whole percent, at most 90.',
            ...$this->questionMessages(),
        ];
    }
}
