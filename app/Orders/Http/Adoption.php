<?php

declare(strict_types=1);

namespace App\Orders\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Which parents and documents adopt the newest revision of an item. */
#[
    OA\Schema(
        required: ['item', 'uses'],
        properties: [
            new OA\Property(property: 'item', type: 'string'),
            new OA\Property(
                property: 'uses',
                type: 'array',
                items: new OA\Items(
                    required: ['item', 'line'],
                    properties: [
                        new OA\Property(property: 'item', type: 'string', description: 'the parent or the document'),
                        new OA\Property(property: 'line', type: 'string', description: 'empty for a document'),
                    ],
                ),
            ),
        ],
    ),
]
final class Adoption extends FormRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'item' => 'required|string|exists:items,number',
            'uses' => 'required|array|min:1|max:500',
            'uses.*.item' => 'required|string',
            'uses.*.line' => 'present|nullable|uuid',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['uses.required' => 'Choose who adopts the newest revision.'];
    }

    /** @return list<array{item: string, line: string}> */
    public function uses(): array
    {
        /** @var list<array{item: string, line: ?string}> $uses */
        $uses = $this->validated('uses');

        return array_map(static fn(array $use): array => ['item' => $use['item'], 'line' => $use['line'] ?? ''], $uses);
    }
}
