<?php

declare(strict_types=1);

namespace App\Manufacturing\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Which engineering lines a plant takes over. */
#[
    OA\Schema(
        required: ['lines', 'seen'],
        properties: [
            new OA\Property(
                property: 'lines',
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'keys of engineering lines; none: all that are open',
            ),
            new OA\Property(
                property: 'operation',
                type: 'string',
                nullable: true,
                description: 'by hand: its number, empty for none; left out: where it follows from what is there',
            ),
            new OA\Property(
                property: 'parts',
                type: 'object',
                description: 'so much of a line, by its key; the others whole',
                additionalProperties: new OA\AdditionalProperties(type: 'string'),
            ),
            new OA\Property(
                property: 'sibling',
                type: 'string',
                nullable: true,
                description: 'where it follows from what is there: the item by whose example it was suggested; left out: by none',
            ),
            new OA\Property(property: 'seen', type: 'integer', description: 'the number of the newest edit on screen'),
        ],
    ),
]
final class TakeOverRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'lines' => 'present|array|max:5000',
            'lines.*' => 'uuid',
            'operation' => 'nullable|string|max:4',
            'parts' => 'sometimes|array|max:5000',
            'parts.*' => 'nullable|string|max:20',
            'sibling' => 'nullable|string|max:40',
            'seen' => 'required|integer',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['lines.*' => 'Name lines by their keys.', 'seen.*' => 'Say which edit was on screen last.'];
    }

    /** @return ?string the item by whose example; null: by none */
    public function sibling(): ?string
    {
        return $this->string('sibling')->toString() ?: null;
    }

    /** @return ?array<string, string> how much of each line is taken over by hand; null: as it follows from what is there */
    public function parts(): ?array
    {
        if (!$this->exists('operation')) {
            return null;
        }
        /** @var array<string, ?string> $parts */
        $parts = $this->input('parts', []);
        $of = [];
        foreach ($this->lines() as $line) {
            $of[$line] = trim($parts[$line] ?? '');
        }

        return $of;
    }

    /** @return list<string> */
    public function lines(): array
    {
        /** @var array<string> $lines */
        $lines = $this->validated('lines');

        return array_values($lines);
    }
}
