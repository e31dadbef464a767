<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Orders\NewNumber\AskedNumber;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** An item is to get a new number. */
#[
    OA\Schema(
        required: ['title', 'interchangeable', 'lines', 'data', 'documents', 'version'],
        properties: [
            new OA\Property(property: 'title', type: 'string', description: 'of the new item'),
            new OA\Property(property: 'interchangeable', type: 'boolean', description: 'either can be used where the other is called for'),
            new OA\Property(property: 'lines', type: 'boolean', description: 'lines go along'),
            new OA\Property(property: 'data', type: 'boolean', description: 'cost, lead time, supplier, mass and material go along'),
            new OA\Property(
                property: 'documents',
                type: 'array',
                description: 'that go along',
                items: new OA\Items(
                    required: ['number', 'copied'],
                    properties: [
                        new OA\Property(property: 'number', type: 'string'),
                        new OA\Property(
                            property: 'copied',
                            type: 'boolean',
                            description: 'to a new number too; otherwise it describes both',
                        ),
                    ],
                ),
            ),
            new OA\Property(property: 'version', type: 'integer'),
        ],
    ),
]
final class NewNumberRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'title' => 'required|string|max:200',
            'interchangeable' => 'required|boolean',
            'lines' => 'required|boolean',
            'data' => 'required|boolean',
            'documents' => 'present|array|list|max:200',
            'documents.*.number' => 'required|string|max:100|distinct',
            'documents.*.copied' => 'required|boolean',
            'version' => 'required|integer|min:1',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => 'Give the new number a title.',
            'title.max' => 'At most 200 characters.',
            'interchangeable.required' => 'Say whether either can be used where the other is called for.',
        ];
    }

    public function asked(): AskedNumber
    {
        /** @var list<array{number: string, copied: bool}> $documents */
        $documents = $this->validated('documents');

        return new AskedNumber(
            title: $this->string('title')->toString(),
            interchangeable: $this->boolean('interchangeable'),
            lines: $this->boolean('lines'),
            data: $this->boolean('data'),
            documents: array_column($documents, 'copied', 'number'),
        );
    }
}
