<?php

declare(strict_types=1);

namespace App\Requests\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** The answer to what a request was sent back for. */
#[
    OA\Schema(
        required: ['answer', 'version'],
        properties: [new OA\Property(property: 'answer', type: 'string'), new OA\Property(property: 'version', type: 'integer')],
    ),
]
final class Answer extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['answer' => 'required|string|max:5000', 'version' => 'required|integer|min:1'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['answer.required' => 'Write the answer.', 'answer.max' => 'At most 5,000 characters.'];
    }
}
