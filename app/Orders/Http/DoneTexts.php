<?php

declare(strict_types=1);

namespace App\Orders\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** What is done to items of an order, in the languages of the documents. */
#[
    OA\Schema(
        required: ['texts', 'version'],
        properties: [
            new OA\Property(
                property: 'texts',
                type: 'array',
                items: new OA\Items(
                    required: ['item', 'language', 'text'],
                    properties: [
                        new OA\Property(property: 'item', type: 'string'),
                        new OA\Property(property: 'language', type: 'string'),
                        new OA\Property(property: 'text', type: 'string', description: 'empty: nothing is said in this language'),
                    ],
                    type: 'object',
                ),
            ),
            new OA\Property(property: 'version', type: 'integer'),
        ],
    ),
]
final class DoneTexts extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'texts' => 'bail|required|array|list|max:1000',
            'texts.*' => 'array:item,language,text',
            'texts.*.item' => 'required|string|max:40',
            'texts.*.language' => ['required', 'string', Rule::in(config()->array('orthotaxis.languages'))],
            'texts.*.text' => 'present|nullable|string|max:200',
            'version' => 'required|integer|min:1',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'texts.required' => 'Say what is done to an item.',
            'texts.array' => 'Give a list of texts.',
            'texts.list' => 'Give a list of texts.',
            'texts.max' => 'At most 1,000 texts at a time.',
            'texts.*.array' => 'A text has an item, a language and what is said.',
            'texts.*.item.*' => 'Name an item of the order.',
            'texts.*.language.*' => 'Documents are written in the languages that are set up.',
            'texts.*.text.max' => 'At most 200 characters.',
            'texts.*.text.*' => 'Write a text, or none.',
        ];
    }

    /** @return list<array{item: string, language: string, text: string}> */
    public function texts(): array
    {
        /** @var list<array{item: string, language: string, text: ?string}> $texts */
        $texts = $this->validated('texts');

        return array_map(static fn(array $one): array => [...$one, 'text' => trim((string) $one['text'])], $texts);
    }
}
