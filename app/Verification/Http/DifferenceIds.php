<?php

declare(strict_types=1);

namespace App\Verification\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Which differences planning is to put right. */
#[OA\Schema(required: ['ids'], properties: [new OA\Property(property: 'ids', type: 'array', items: new OA\Items(type: 'integer'))])]
final class DifferenceIds extends FormRequest
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
            'ids.required' => 'Choose differences.',
            'ids.array' => 'Choose differences.',
            'ids.list' => 'Choose differences.',
            'ids.max' => 'At most 5,000 differences at a time.',
            'ids.*' => 'Choose differences.',
        ];
    }

    /** @return list<int> */
    public function ids(): array
    {
        return array_values(array_map(intval(...), (array) $this->validated('ids')));
    }
}
