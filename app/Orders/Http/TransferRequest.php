<?php

declare(strict_types=1);

namespace App\Orders\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Where edits are carried over to, and what is decided about those that do not simply fit. */
#[
    OA\Schema(
        required: ['into', 'to', 'decisions'],
        properties: [
            new OA\Property(property: 'into', type: 'string', description: 'the order that gets them'),
            new OA\Property(
                property: 'to',
                type: 'string',
                description: '"230-0001 engineering>230-0002 engineering", of several with commas between',
            ),
            new OA\Property(
                property: 'decisions',
                type: 'array',
                items: new OA\Items(
                    required: ['row', 'taken'],
                    properties: [
                        new OA\Property(property: 'row', type: 'string', description: 'by its key'),
                        new OA\Property(property: 'taken', type: 'boolean'),
                    ],
                    type: 'object',
                ),
            ),
        ],
    ),
]
final class TransferRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'into' => 'required|string|max:40',
            'to' => 'required|string|max:20000',
            'decisions' => 'present|array|list|max:20000',
            'decisions.*.row' => 'required|string|max:500',
            'decisions.*.taken' => 'required|boolean',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['into.required' => 'Choose the order that gets them.', 'to.required' => 'Choose a sibling.'];
    }

    /** @return array<string, bool> by the key of the row */
    public function decisions(): array
    {
        /** @var list<array{row: string, taken: bool}> $decisions */
        $decisions = $this->validated('decisions');

        return array_column($decisions, 'taken', 'row');
    }
}
