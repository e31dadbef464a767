<?php

declare(strict_types=1);

namespace App\Orders\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Where a component is replaced, and by what. */
#[
    OA\Schema(
        required: ['old', 'new', 'from', 'lines'],
        properties: [
            new OA\Property(property: 'old', type: 'string'),
            new OA\Property(
                property: 'new',
                type: 'string',
                description: '"200-0041:2, 200-0043": numbers, each with how many take the place of one; empty: nothing comes',
            ),
            new OA\Property(property: 'from', type: 'string', description: 'the first day of the new; empty: with the revision'),
            new OA\Property(
                property: 'lines',
                type: 'array',
                items: new OA\Items(
                    required: ['item', 'work', 'line'],
                    properties: [
                        new OA\Property(property: 'item', type: 'string'),
                        new OA\Property(property: 'work', type: 'string', description: '"engineering", "manufacturing:Weir"'),
                        new OA\Property(property: 'line', type: 'string'),
                    ],
                    type: 'object',
                ),
            ),
        ],
    ),
]
final class ReplacementRequest extends FormRequest
{
    /** Lines that are edited at one stroke. */
    public const MOST = 20_000;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'old' => 'required|string|max:100',
            'new' => 'present|nullable|string|max:4000',
            'from' => 'present|nullable|date_format:Y-m-d',
            'lines' => 'required|array|list|max:' . self::MOST,
            'lines.*' => 'array:item,work,line',
            'lines.*.item' => 'required|string|max:100',
            'lines.*.work' => ['required', 'string', 'max:100', 'regex:/^(engineering|manufacturing:.+)$/D'],
            'lines.*.line' => 'required|uuid',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'old.required' => 'Name the component that goes.',
            'lines.required' => 'Choose where.',
            'lines.max' => 'At most ' . self::MOST . ' lines at once.',
            'from.date_format' => 'Write the day as 2026-11-26.',
        ];
    }

    /** @return non-empty-list<array{item: string, work: string, line: string}> */
    public function lines(): array
    {
        /** @var non-empty-list<array{item: string, work: string, line: string}> $lines */
        $lines = $this->validated('lines');

        return $lines;
    }
}
