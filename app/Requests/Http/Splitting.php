<?php

declare(strict_types=1);

namespace App\Requests\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** What moves to a second request, and the version of the first that was on screen. */
#[
    OA\Schema(
        required: ['title', 'items', 'version'],
        properties: [
            new OA\Property(property: 'title', type: 'string'),
            new OA\Property(property: 'items', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'reports', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'version', type: 'integer'),
        ],
    ),
]
final class Splitting extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'title' => 'required|string|max:200',
            'items' => 'required|array|min:1|max:200',
            'items.*' => 'required|string|max:60|distinct',
            'reports' => 'sometimes|array|max:200',
            'reports.*' => 'required|string|max:20|distinct',
            'version' => 'required|integer|min:1',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => 'Say in a line what the new request is about.',
            'title.max' => 'At most 200 characters.',
            'items.required' => 'Choose the items that move.',
        ];
    }

    /** @return list<string> */
    public function items(): array
    {
        return array_values(array_map(strval(...), (array) $this->validated('items')));
    }

    /** @return list<string> */
    public function reports(): array
    {
        return array_values(array_map(strval(...), (array) ($this->validated('reports') ?? [])));
    }
}
