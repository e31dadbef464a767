<?php

declare(strict_types=1);

namespace App\CutIn\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** The question to the planner, and the day whose cost is asked about. */
#[
    OA\Schema(
        allOf: [
            new OA\Schema(ref: CutInQuestion::class),
            new OA\Schema(required: ['on'], properties: [new OA\Property(property: 'on', type: 'string')]),
        ],
    ),
]
final class CutInDayQuestion extends FormRequest
{
    use AsksCutIn;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['on' => 'required|bail|string|date_format:Y-m-d', ...$this->questionRules()];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['on.*' => 'Write the day as year-month-day.', ...$this->questionMessages()];
    }
}
