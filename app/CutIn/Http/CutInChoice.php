<?php

declare(strict_types=1);

namespace App\CutIn\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** The chosen day, what was asked, and why this day. */
#[
    OA\Schema(
        required: ['chosen_on', 'reason'],
        allOf: [new OA\Schema(ref: '#/components/schemas/CutInQuestion')],
        properties: [
            new OA\Property(property: 'chosen_on', type: 'string'),
            new OA\Property(property: 'reason', type: 'string'),
            new OA\Property(
                property: 'at_plants',
                type: 'array',
                items: new OA\Items(
                    required: ['plant', 'on'],
                    properties: [new OA\Property(property: 'plant', type: 'string'), new OA\Property(property: 'on', type: 'string')],
                ),
                description: 'where plants cut in on days of their own; left out: all on the chosen day',
            ),
        ],
    ),
]
final class CutInChoice extends FormRequest
{
    use AsksCutIn;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return $this->questionRules() + [
            'chosen_on' => 'required|bail|string|date_format:Y-m-d',
            'reason' => 'required|string|max:2000',
            'at_plants' => 'nullable|array|list|max:50',
            'at_plants.*.plant' => 'required|string|distinct|max:50',
            'at_plants.*.on' => 'required|bail|string|date_format:Y-m-d',
        ];
    }

    /** @return array<string, string> day by plant */
    public function atPlants(): array
    {
        /** @var array<string, string> */
        return array_column((array) $this->validated('at_plants'), 'on', 'plant');
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return $this->questionMessages() + [
            'chosen_on.*' => 'Choose a day.',
            'at_plants.*.on.*' => 'Write the day as year-month-day.',
            'reason.required' => 'Say why this day.',
            'reason.max' => 'At most 2000 characters.',
        ];
    }
}
