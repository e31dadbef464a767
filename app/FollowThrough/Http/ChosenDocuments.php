<?php

declare(strict_types=1);

namespace App\FollowThrough\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Some documents of a released order. */
#[OA\Schema(required: ['ids'], properties: [new OA\Property(property: 'ids', type: 'array', items: new OA\Items(type: 'integer'))])]
final class ChosenDocuments extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['ids' => 'required|array|list|max:5000', 'ids.*' => 'integer|min:1|max:1000000000000'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'ids.required' => 'Choose documents.',
            'ids.array' => 'Choose documents.',
            'ids.list' => 'Choose documents.',
            'ids.max' => 'At most 5,000 documents at a time.',
            'ids.*' => 'Choose documents.',
        ];
    }

    /** @return list<int> */
    public function ids(): array
    {
        return array_values(array_map(intval(...), (array) $this->validated('ids')));
    }
}
