<?php

declare(strict_types=1);

namespace App\Reach\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** What is taken in or left out. */
#[
    OA\Schema(
        required: ['subjects', 'taken', 'reason'],
        properties: [
            new OA\Property(property: 'subjects', description: 'of rows of the reach', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'taken', description: 'null takes a decision back', type: 'boolean', nullable: true),
            new OA\Property(property: 'reason', description: 'needed for what is left out', type: 'string'),
            new OA\Property(
                property: 'seen',
                description: 'ids of the decisions that stood on screen',
                type: 'array',
                items: new OA\Items(type: 'integer'),
            ),
        ],
    ),
]
final class NewReachDecision extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'subjects' => 'required|array|min:1|max:500',
            'subjects.*' => [
                'string',
                'distinct',
                'max:120',
                'regex:/^((affected|product|sibling|parent) \d{1,15}|(document|operation|tool|change) \S.*)$/D',
            ],
            'taken' => 'present|nullable|boolean',
            'reason' => ['nullable', 'string', 'max:500', 'required_if:taken,false'],
            'seen' => 'nullable|array|max:500',
            'seen.*' => 'integer',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'subjects.*' => 'Choose rows of the reach.',
            'reason.required_if' => 'Say why it is left out.',
            'reason.max' => 'At most 500 characters.',
        ];
    }

    /** @return list<int> */
    public function seen(): array
    {
        return array_map(intval(...), array_values((array) ($this->validated('seen') ?? [])));
    }

    /** @return list<string> */
    public function subjects(): array
    {
        return array_map(strval(...), array_values((array) $this->validated('subjects')));
    }
}
