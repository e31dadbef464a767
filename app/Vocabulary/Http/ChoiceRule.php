<?php

declare(strict_types=1);

namespace App\Vocabulary\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        required: ['name', 'retired', 'version'],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'retired', type: 'boolean'),
            new OA\Property(property: 'version', type: 'integer'),
        ],
    ),
]
final class ChoiceRule extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['name' => 'bail|required|string|max:80', 'retired' => 'required|boolean', 'version' => 'required|integer'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => 'Give it a name.', 'name.max' => 'At most 80 characters.'];
    }
}
