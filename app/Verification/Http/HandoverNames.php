<?php

declare(strict_types=1);

namespace App\Verification\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Which hand-overs are sent again. */
#[
    OA\Schema(
        properties: [
            new OA\Property(
                property: 'names',
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'none: all that planning has not accepted',
            ),
        ],
    ),
]
final class HandoverNames extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['names' => 'nullable|array|list|max:1000', 'names.*' => 'required|bail|string|max:120'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'names.array' => 'Give a list of hand-overs.',
            'names.list' => 'Give a list of hand-overs.',
            'names.max' => 'At most 1,000 hand-overs at a time.',
            'names.*' => 'Name a hand-over.',
        ];
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_values(
            array_map(static fn(mixed $name): string => is_string($name) ? $name : '', (array) $this->validated('names', [])),
        );
    }
}
