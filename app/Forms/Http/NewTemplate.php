<?php

declare(strict_types=1);

namespace App\Forms\Http;

use App\Http\BringsFile;
use App\Vocabulary\ChoiceList;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** A template that is added, or another file for one. */
#[
    OA\Schema(
        required: ['file'],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'reasons[]', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'version', description: 'of the template whose file is replaced', type: 'string'),
            new OA\Property(property: 'file', type: 'string', format: 'binary'),
        ],
    ),
]
final class NewTemplate extends FormRequest
{
    use BringsFile;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => [Rule::requiredIf($this->route('id') === null), 'string', 'max:120'],
            'reasons' => 'nullable|array|max:20',
            'reasons.*' => ['bail', 'string', 'distinct', ChoiceList::Reason->isKnown()],
            'version' => [Rule::requiredIf($this->route('id') !== null), 'integer'],
            'file' => 'required|file|max:8192',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Name the template.',
            'name.max' => 'At most 120 characters.',
            'reasons.*' => 'Choose among the reasons of requests.',
            'file.required' => 'Choose a DOCX document.',
            'file.*' => 'A template has at most 8 megabytes.',
        ];
    }

    /** @return list<string> */
    public function reasons(): array
    {
        return array_map(strval(...), array_values((array) ($this->validated('reasons') ?? [])));
    }
}
