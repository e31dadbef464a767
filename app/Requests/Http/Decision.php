<?php

declare(strict_types=1);

namespace App\Requests\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** The decision on a request. */
#[
    OA\Schema(
        required: ['decision', 'reason', 'version'],
        properties: [
            new OA\Property(property: 'decision', type: 'string', enum: ['approved', 'rejected', 'returned']),
            new OA\Property(property: 'reason', type: 'string'),
            new OA\Property(property: 'version', type: 'integer'),
        ],
    ),
]
final class Decision extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'decision' => 'required|in:approved,rejected,returned',
            'reason' => 'required|string|max:2000',
            'version' => 'required|integer|min:1',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'decision.required' => 'Approve it, reject it or send it back.',
            'reason.required' => 'Give the reason for the decision.',
            'reason.max' => 'At most 2,000 characters.',
        ];
    }
}
