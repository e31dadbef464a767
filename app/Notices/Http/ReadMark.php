<?php

declare(strict_types=1);

namespace App\Notices\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Which notices are read now, or unread again: single ones, or all up to one. */
#[
    OA\Schema(
        required: ['read'],
        properties: [
            new OA\Property(property: 'read', type: 'boolean'),
            new OA\Property(property: 'ids', type: 'array', items: new OA\Items(type: 'integer'), description: 'at most 500'),
            new OA\Property(property: 'up_to', type: 'integer', description: 'in place of ids: this one and all older ones'),
        ],
    ),
]
final class ReadMark extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'read' => 'required|boolean',
            'ids' => 'required_without:up_to|array|max:500',
            'ids.*' => 'integer|min:1|max:9000000000000000000',
            'up_to' => 'integer|min:1|max:9000000000000000000',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'read.*' => 'Say whether they are read.',
            'ids.max' => 'At most 500 at once.',
            'ids.*' => 'Choose notices.',
            'ids.*.*' => 'This is no notice.',
            'up_to.*' => 'This is no notice.',
        ];
    }
}
