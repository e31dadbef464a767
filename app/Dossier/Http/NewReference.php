<?php

declare(strict_types=1);

namespace App\Dossier\Http;

use App\Vocabulary\ChoiceList;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** A record of another process that a change is to refer to. */
#[
    OA\Schema(
        required: ['kind', 'number', 'address'],
        properties: [
            new OA\Property(property: 'kind', type: 'string', description: 'a code of the list of records'),
            new OA\Property(property: 'number', type: 'string'),
            new OA\Property(property: 'address', type: 'string', description: 'of its page: http or https; empty: none'),
        ],
    ),
]
final class NewReference extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'kind' => ['bail', 'required', 'string', ChoiceList::Record->isOffered()],
            'number' => 'required|string|max:80',
            'address' => 'present|nullable|string|max:2000|url:http,https',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'kind.*' => 'Choose what kind of record it is.',
            'number.required' => 'Write its number.',
            'number.max' => 'At most 80 characters.',
            'address.url' => 'An address begins with http:// or https://.',
            'address.max' => 'At most 2,000 characters.',
        ];
    }
}
