<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Orders\Subjects\NamedWork;
use Illuminate\Contracts\Validation\Validator;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Edit\EditOperation;
use Orthotaxis\Core\Edit\LineEdit as Edit;
use Orthotaxis\Core\Structure\LineField;

/** Edits of lines of many subjects of an order, made together or not at all. Fields are text, as typed. */
#[
    OA\Schema(
        required: ['edits', 'seen'],
        properties: [
            new OA\Property(
                property: 'edits',
                type: 'array',
                items: new OA\Items(
                    required: ['item', 'work', 'operation', 'line', 'fields'],
                    properties: [
                        new OA\Property(property: 'item', type: 'string'),
                        new OA\Property(property: 'work', type: 'string', description: '"engineering", "manufacturing:Weir"'),
                        new OA\Property(property: 'operation', type: 'string', enum: EditOperation::class),
                        new OA\Property(property: 'line', type: 'string', description: 'empty: a new one'),
                        new OA\Property(
                            property: 'fields',
                            type: 'object',
                            additionalProperties: new OA\AdditionalProperties(type: 'string'),
                        ),
                    ],
                    type: 'object',
                ),
            ),
            new OA\Property(
                property: 'seen',
                type: 'array',
                description: 'the number of the newest edit on screen, of each subject that is edited',
                items: new OA\Items(
                    required: ['item', 'work', 'seen'],
                    properties: [
                        new OA\Property(property: 'item', type: 'string'),
                        new OA\Property(property: 'work', type: 'string'),
                        new OA\Property(property: 'seen', type: 'integer'),
                    ],
                    type: 'object',
                ),
            ),
        ],
    ),
]
final class WorksheetEdits extends FormRequest
{
    public const MOST = 5_000;

    private const WORK = ['required', 'string', 'max:100', 'regex:/^(engineering|manufacturing:.+)$/D'];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'edits' => 'required|array|list|max:' . self::MOST,
            'edits.*' => 'array:item,work,operation,line,fields',
            'edits.*.item' => 'required|string|max:100',
            'edits.*.work' => self::WORK,
            'edits.*.operation' => ['required', Rule::enum(EditOperation::class)],
            'edits.*.line' => 'nullable|uuid|required_unless:edits.*.operation,add',
            'edits.*.fields' => ['present', 'array:' . implode(',', array_column(LineField::cases(), 'value'))],
            'edits.*.fields.*' => 'nullable|string|max:4000',
            'seen' => 'required|array|list|max:' . self::MOST,
            'seen.*.item' => 'required|string|max:100',
            'seen.*.work' => self::WORK,
            'seen.*.seen' => 'required|integer|min:0',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'edits.required' => 'Say what is to be changed.',
            'edits.max' => 'At most ' . self::MOST . ' lines are edited at once.',
            'edits.*.fields.array' => 'A line has no such field.',
            'edits.*.line.required_unless' => 'Say which line.',
            'seen.required' => 'Say which edits were on screen last.',
        ];
    }

    /**
     * What engineering declares has no operation, no scrap and nobody who takes it over.
     *
     * @return list<\Closure(Validator): void>
     */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                $plants = array_diff(array_column(LineField::cases(), 'value'), array_column(LineField::ofEngineering(), 'value'));
                foreach ($this->array('edits') as $at => $edit) {
                    if (is_array($edit) && ($edit['work'] ?? '') === 'engineering' && is_array($edit['fields'] ?? null)) {
                        foreach (array_intersect($plants, array_keys($edit['fields'])) as $field) {
                            $validator->errors()->add("edits.{$at}.{$field}", 'Only a plant says this of a line.');
                        }
                    }
                }
            },
        ];
    }

    /** @return non-empty-list<array{subject: NamedWork, edit: Edit}> */
    public function edits(string $order): array
    {
        /**
         * @var non-empty-list<array{
         *     item: string, work: string, operation: string, line?: ?string, fields: array<value-of<LineField>, ?string>
         * }> $edits
         */
        $edits = $this->validated('edits');

        return array_map(
            static fn(array $edit): array => [
                'subject' => NamedWork::of($order, $edit['item'], $edit['work']),
                'edit' => EditOperation::from($edit['operation'])->of($edit['line'] ?? '', array_map(strval(...), $edit['fields'])),
            ],
            $edits,
        );
    }

    /** @return array<string, int> by subject */
    public function seen(string $order): array
    {
        /** @var list<array{item: string, work: string, seen: int}> $seen */
        $seen = $this->validated('seen');
        $numbers = [];
        foreach ($seen as $one) {
            $numbers[NamedWork::of($order, $one['item'], $one['work'])->subject()] = $one['seen'];
        }

        return $numbers;
    }
}
