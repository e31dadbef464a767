<?php

declare(strict_types=1);

namespace App\Paths\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** A step of the path of an order that is left out, or given to others, and why. */
#[
    OA\Schema(
        required: ['step', 'reason'],
        properties: [
            new OA\Property(property: 'step', type: 'integer', description: 'its place in the path, from 0 on'),
            new OA\Property(property: 'reason', type: 'string'),
            new OA\Property(property: 'to', type: 'array', items: new OA\Items(type: 'string'), description: 'none: it is left out'),
        ],
    ),
]
final class PathSteering extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'step' => 'required|integer|between:0,30',
            'reason' => 'required|string|max:2000',
            'to' => 'sometimes|array|max:50',
            'to.*' => 'required|string|max:80|distinct',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['reason.required' => 'Give the reason.', 'reason.max' => 'At most 2,000 characters.'];
    }

    /** @return list<string> */
    public function to(): array
    {
        return array_values(array_filter((array) $this->validated('to', []), is_string(...)));
    }
}
