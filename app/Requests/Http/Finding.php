<?php

declare(strict_types=1);

namespace App\Requests\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** What the assessment found. */
#[
    OA\Schema(
        required: ['finding', 'version'],
        properties: [new OA\Property(property: 'finding', type: 'string'), new OA\Property(property: 'version', type: 'integer')],
    ),
]
final class Finding extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'finding' => 'required|string|max:10000',
            'version' => 'required|integer|min:1',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'finding.required' => 'Write down what you found.',
            'finding.max' => 'At most 10,000 characters.',
        ];
    }
}
