<?php

declare(strict_types=1);

namespace App\Orders\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Edit\EditOperation;
use Orthotaxis\Core\Edit\LineEdit as Edit;
use Orthotaxis\Core\Structure\LineField;

/** Several edits that are made together or not at all, such as a block that is pasted. */
#[
    OA\Schema(
        required: ['edits', 'seen'],
        properties: [
            new OA\Property(
                property: 'edits',
                type: 'array',
                items: new OA\Items(
                    required: ['operation', 'line', 'fields'],
                    properties: [
                        new OA\Property(property: 'operation', type: 'string', enum: EditOperation::class),
                        new OA\Property(property: 'line', type: 'string'),
                        new OA\Property(
                            property: 'fields',
                            type: 'object',
                            additionalProperties: new OA\AdditionalProperties(type: 'string'),
                        ),
                    ],
                    type: 'object',
                ),
            ),
            new OA\Property(property: 'seen', type: 'integer'),
        ],
    ),
]
final class LineEdits extends FormRequest
{
    public const MOST = 1_000;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'edits' => 'required|array|list|max:' . self::MOST,
            'edits.*.operation' => ['required', Rule::enum(EditOperation::class)],
            'edits.*.line' => 'nullable|uuid|required_unless:edits.*.operation,add',
            'edits.*.fields' => ['present', 'array:' . implode(',', array_column(LineField::ofEngineering(), 'value'))],
            'edits.*.fields.*' => 'nullable|string|max:4000',
            'seen' => 'required|integer|min:0',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'edits.max' => 'At most ' . self::MOST . ' lines are edited at once.',
            'edits.*.fields.array' => 'A line has no such field.',
            'edits.*.line.required_unless' => 'Say which line.',
        ];
    }

    /** @return list<Edit> */
    public function edits(): array
    {
        /** @var list<array{operation: string, line?: ?string, fields: array<value-of<LineField>, ?string>}> $edits */
        $edits = $this->validated('edits');

        return array_map(
            static fn(array $edit): Edit => EditOperation::from($edit['operation'])->of(
                $edit['line'] ?? '',
                array_map(strval(...), $edit['fields']),
            ),
            $edits,
        );
    }
}
