<?php

declare(strict_types=1);

namespace App\Vocabulary\Http;

use App\Vocabulary\ChoiceList;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        required: ['list', 'code', 'name'],
        properties: [
            new OA\Property(property: 'list', type: 'string', enum: ChoiceList::class),
            new OA\Property(property: 'code', type: 'string'),
            new OA\Property(property: 'name', type: 'string'),
        ],
    ),
]
final class NewChoice extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'list' => ['required', Rule::enum(ChoiceList::class)],
            // It stands in files, and names the files of an index.
            'code' => ['bail', 'required', 'string', 'max:30', 'regex:/^[A-Za-z0-9][A-Za-z0-9_-]*$/D'],
            'name' => 'bail|required|string|max:80',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'code.required' => 'Give it a code, as files and planning name it.',
            'code.max' => 'At most 30 characters.',
            'code.regex' => 'A code is letters, digits, hyphens and underscores, such as shop_floor.',
            'name.required' => 'Give it a name.',
            'name.max' => 'At most 80 characters.',
        ];
    }
}
