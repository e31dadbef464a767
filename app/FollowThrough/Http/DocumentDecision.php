<?php

declare(strict_types=1);

namespace App\FollowThrough\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\FollowThrough\Way;

/** What is done about some documents; what is not said stays as it is. */
#[
    OA\Schema(
        required: ['ids'],
        properties: [
            new OA\Property(property: 'ids', type: 'array', items: new OA\Items(type: 'integer')),
            new OA\Property(property: 'way', enum: Way::class),
            new OA\Property(property: 'as_proposed', type: 'boolean', description: 'each as it is proposed'),
            new OA\Property(property: 'owner', type: 'string', description: 'sign-in name'),
            new OA\Property(property: 'due_on', type: 'string', format: 'date'),
            new OA\Property(property: 'note', type: 'string', description: 'why they are accepted as they are'),
        ],
    ),
]
final class DocumentDecision extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'ids' => 'required|array|list|max:5000',
            'ids.*' => 'integer|min:1',
            'way' => ['nullable', Rule::enum(Way::class), 'prohibited_if:as_proposed,true'],
            'as_proposed' => 'boolean',
            'owner' => 'nullable|bail|string|max:60',
            'due_on' => 'nullable|bail|string|date_format:Y-m-d',
            'note' => 'nullable|string|max:300',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'ids.required' => 'Choose documents.',
            'ids.max' => 'At most 5,000 documents at a time.',
            'way.prohibited_if' => 'Choose one decision for all of them, or each as proposed.',
            'due_on.*' => 'Give a day.',
            'note.max' => 'At most 300 characters.',
        ];
    }

    /** @return list<int> */
    public function ids(): array
    {
        return array_values(array_map(intval(...), (array) $this->validated('ids')));
    }

    public function due(): ?Day
    {
        return $this->filled('due_on') ? Day::parse($this->string('due_on')->toString(), 'due_on') : null;
    }
}
