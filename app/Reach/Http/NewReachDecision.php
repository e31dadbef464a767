<?php

declare(strict_types=1);

namespace App\Reach\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** What is taken in or left out. */
#[OA\Schema(required: ['rows', 'taken', 'reason'], properties: [
    new OA\Property(property: 'rows', type: 'array', items: new OA\Items(required: ['subject', 'number'], properties: [
        new OA\Property(property: 'subject', type: 'string'), new OA\Property(property: 'number', type: 'string'),
    ])),
    new OA\Property(property: 'taken', description: 'null takes a decision back', type: 'boolean', nullable: true),
    new OA\Property(property: 'reason', description: 'needed for what is left out', type: 'string'),
])]
final class NewReachDecision extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'rows' => 'required|array|min:1|max:500', 'rows.*.subject' => ['required', 'string', 'max:120', 'regex:/^(affected|document|operation|tool|change|open_change|product|sibling|parent) \S/'], 'rows.*.number' => 'required|string|max:60',
            'taken' => 'present|nullable|boolean', 'reason' => ['nullable', 'string', 'max:500', 'required_if:taken,false'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['rows.*' => 'Choose at least one row.', 'reason.required_if' => 'Say why it is left out.', 'reason.max' => 'At most 500 characters.'];
    }

    /** @return list<array{subject: string, number: string}> */
    public function rows(): array
    {
        return array_map(static fn (array $row): array => ['subject' => (string) $row['subject'], 'number' => (string) $row['number']], array_values((array) $this->validated('rows')));
    }
}
