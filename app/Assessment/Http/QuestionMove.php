<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Why, and to whom, a question is handed. */
#[
    OA\Schema(
        required: ['text'],
        properties: [
            new OA\Property(property: 'text', type: 'string', description: 'the reason; may be empty'),
            new OA\Property(property: 'to', type: 'string', description: 'sign-in name; to hand it on'),
        ],
    ),
]
final class QuestionMove extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['text' => 'present|nullable|string|max:2000', 'to' => 'nullable|string|max:60'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['text.max' => 'At most 2,000 characters.'];
    }
}
