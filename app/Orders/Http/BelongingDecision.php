<?php

declare(strict_types=1);

namespace App\Orders\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\BelongingKind;
use Orthotaxis\Core\Change\BelongingState;

/** What becomes of what belongs to items on an order, each as it was on screen. */
#[
    OA\Schema(
        required: ['rows', 'becomes', 'version'],
        properties: [
            new OA\Property(
                property: 'rows',
                type: 'array',
                items: new OA\Items(
                    required: ['item', 'kind', 'number', 'fault'],
                    properties: [
                        new OA\Property(property: 'item', type: 'string'),
                        new OA\Property(property: 'kind', enum: BelongingKind::class),
                        new OA\Property(property: 'number', type: 'string'),
                        new OA\Property(property: 'fault', type: 'string'),
                    ],
                    type: 'object',
                ),
            ),
            new OA\Property(property: 'becomes', enum: BelongingState::class, description: 'open: what was decided is taken back'),
            new OA\Property(property: 'reason', type: 'string', description: 'why it is left'),
            new OA\Property(property: 'version', type: 'integer'),
        ],
    ),
]
final class BelongingDecision extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'rows' => 'required|array|list|max:1000',
            'rows.*' => 'array:item,kind,number,fault',
            'rows.*.item' => 'required|string|max:40',
            'rows.*.kind' => ['required', Rule::enum(BelongingKind::class)],
            'rows.*.number' => 'required|string|max:40',
            'rows.*.fault' => 'present|nullable|string|max:2000',
            'becomes' => ['required', Rule::enum(BelongingState::class)],
            'reason' => 'required_if:becomes,left|nullable|string|max:300',
            'version' => 'required|integer|min:1',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'rows.required' => 'Choose rows.',
            'rows.max' => 'At most 1,000 rows at a time.',
            'reason.required_if' => 'Give the reason.',
            'reason.max' => 'At most 300 characters.',
        ];
    }

    /** @return list<array{item: string, kind: string, number: string, fault: string}> */
    public function chosen(): array
    {
        /** @var list<array{item: string, kind: string, number: string, fault: ?string}> $rows */
        $rows = $this->validated('rows');

        return array_map(static fn(array $row): array => [...$row, 'fault' => (string) $row['fault']], $rows);
    }
}
