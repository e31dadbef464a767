<?php

declare(strict_types=1);

namespace App\FollowThrough\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Documents about which nothing is left to do, and why; or there is after all. */
#[
    OA\Schema(
        required: ['ids', 'seen'],
        properties: [
            new OA\Property(property: 'ids', type: 'array', items: new OA\Items(type: 'integer')),
            new OA\Property(property: 'seen', type: 'boolean'),
            new OA\Property(property: 'reason', type: 'string'),
        ],
    ),
]
final class SeenDocuments extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'ids' => 'required|array|list|max:5000',
            'ids.*' => 'integer|min:1',
            'seen' => 'required|boolean',
            'reason' => 'required_if:seen,true|nullable|string|max:300',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'ids.required' => 'Choose documents.',
            'ids.max' => 'At most 5,000 documents at a time.',
            'reason.required_if' => 'Say why nothing is left to do.',
            'reason.max' => 'At most 300 characters.',
        ];
    }

    /** @return list<int> */
    public function ids(): array
    {
        return array_values(array_map(intval(...), (array) $this->validated('ids')));
    }
}
