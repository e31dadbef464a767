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
        properties: [new OA\Property(property: 'chosen_on', type: 'string'), new OA\Property(property: 'reason', type: 'string')],
    ),
]
final class CutInChoice extends FormRequest
{
    use AsksCutIn;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return $this->questionRules() + ['chosen_on' => 'required|bail|string|date_format:Y-m-d', 'reason' => 'required|string|max:2000'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return $this->questionMessages() + [
            'chosen_on.*' => 'Choose a day.',
            'reason.required' => 'Say why this day.',
            'reason.max' => 'At most 2000 characters.',
        ];
    }
}
