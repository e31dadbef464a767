<?php

declare(strict_types=1);

namespace App\Forms\Http;

use App\Http\BringsFile;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** A form that came back; for taking it in also what of it, and the version of the request that was looked at. */
#[
    OA\Schema(
        required: ['file'],
        properties: [
            new OA\Property(property: 'file', type: 'string', format: 'binary'),
            new OA\Property(property: 'tags[]', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'version', type: 'string'),
        ],
    ),
]
final class BroughtForm extends FormRequest
{
    use BringsFile;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'file' => 'required|file|max:16384',
            'tags' => 'nullable|array|max:200',
            'tags.*' => 'string|max:60',
            'version' => 'nullable|integer',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['file.required' => 'Choose the form that came back.', 'file.*' => 'A form has at most 16 megabytes.'];
    }

    /** @return list<string> */
    public function tags(): array
    {
        return array_map(strval(...), array_values((array) ($this->validated('tags') ?? [])));
    }
}
