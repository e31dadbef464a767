<?php

declare(strict_types=1);

namespace App\Requests\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Why an order goes back. */
#[
    OA\Schema(
        required: ['reason'],
        properties: [
            new OA\Property(property: 'reason', type: 'string'),
            new OA\Property(property: 'stage', type: 'integer', description: 'of the path of an order; 0 or nothing: to the editor'),
        ],
    ),
]
final class SentBack extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'reason' => 'required|string|max:2000',
            'stage' => 'nullable|integer|between:0,30',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'reason.required' => 'Say why, so that the editor knows what to do.',
            'reason.max' => 'At most 2,000 characters.',
        ];
    }
}
