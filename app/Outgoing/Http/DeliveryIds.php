<?php

declare(strict_types=1);

namespace App\Outgoing\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        required: ['ids'],
        properties: [
            new OA\Property(
                property: 'ids',
                type: 'array',
                items: new OA\Items(type: 'integer'),
                description: 'none: all that did not arrive',
            ),
        ],
    ),
]
final class DeliveryIds extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['ids' => 'bail|present|array|list|max:1000', 'ids.*' => 'bail|required|integer|min:1'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'ids.present' => 'Give a list of messages.',
            'ids.array' => 'Give a list of messages.',
            'ids.list' => 'Give a list of messages.',
            'ids.max' => 'At most 1,000 messages at a time.',
            'ids.*' => 'Name a message.',
        ];
    }

    /** @return list<int> */
    public function ids(): array
    {
        return array_values(array_map(intval(...), array_filter((array) $this->validated('ids'), is_numeric(...))));
    }
}
