<?php

declare(strict_types=1);

namespace App\Manufacturing\Http;

use App\Manufacturing\ManufacturingContents;
use App\Orders\Http\LineEdits;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Edit\EditOperation;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Routing\AddOperation;
use Orthotaxis\Core\Routing\ChangeOperation;
use Orthotaxis\Core\Routing\OperationField;
use Orthotaxis\Core\Routing\RemoveOperation;
use Orthotaxis\Core\Routing\SetBatch;
use Orthotaxis\Core\Structure\LineField;

/** Edits of lines and operations of what a plant builds, made together or not at all. Fields are text, as typed. */
#[
    OA\Schema(
        required: ['edits', 'seen'],
        properties: [
            new OA\Property(
                property: 'edits',
                type: 'array',
                items: new OA\Items(
                    required: ['edit', 'part', 'fields'],
                    properties: [
                        new OA\Property(property: 'edit', type: 'string', enum: BuiltEdits::EDITS),
                        new OA\Property(
                            property: 'part',
                            type: 'string',
                            description: 'the key of the line or operation; empty: a new one',
                        ),
                        new OA\Property(
                            property: 'fields',
                            type: 'object',
                            additionalProperties: new OA\AdditionalProperties(type: 'string'),
                        ),
                    ],
                    type: 'object',
                ),
            ),
            new OA\Property(property: 'seen', type: 'integer', description: 'the number of the newest edit on screen'),
        ],
    ),
]
final class BuiltEdits extends FormRequest
{
    public const EDITS = [...self::OF_LINES, AddOperation::NAME, ChangeOperation::NAME, RemoveOperation::NAME, SetBatch::NAME];

    private const OF_LINES = ['add', 'remove', 'replace', 'change'];

    private const NEW = ['add', AddOperation::NAME, SetBatch::NAME];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $known = array_merge(array_column(LineField::cases(), 'value'), array_column(OperationField::cases(), 'value'), ['batch']);

        return [
            'edits' => 'required|array|list|max:' . LineEdits::MOST,
            'edits.*.edit' => ['required', Rule::in(self::EDITS)],
            'edits.*.part' => 'nullable|uuid|required_unless:edits.*.edit,' . implode(',', self::NEW),
            'edits.*.fields' => ['present', 'array:' . implode(',', array_unique($known))],
            'edits.*.fields.*' => 'nullable|string|max:4000',
            'seen' => 'required|integer|min:0',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'edits.max' => 'At most ' . LineEdits::MOST . ' edits are made at once.',
            'edits.*.edit.in' => 'There is no such edit.',
            'edits.*.fields.array' => 'There is no such field.',
            'edits.*.part.required_unless' => 'Say which line or operation.',
            'seen.*' => 'Say which edit was on screen last.',
        ];
    }

    /** Lines have other fields than operations. */
    protected function passedValidation(): void
    {
        foreach ($this->asked() as $at => $edit) {
            $known = array_column(in_array($edit['edit'], self::OF_LINES, true) ? LineField::cases() : OperationField::cases(), 'value');
            $strange = $edit['edit'] === SetBatch::NAME ? [] : array_diff(array_keys($edit['fields']), $known);
            if ($strange !== []) {
                throw Refusal::at("edits.{$at}." . reset($strange), 'It has no such field.');
            }
        }
    }

    /** @return non-empty-list<Edit> */
    public function edits(ManufacturingContents $contents): array
    {
        $edits = [];
        foreach ($this->asked() as $edit) {
            $edits[] = $contents->edit($edit['edit'], EditOperation::VERSION, $edit['part'] ?? '', array_map(strval(...), $edit['fields']));
        }

        return $edits === [] ? throw new \LogicException('Edits are required.') : $edits;
    }

    /** @return list<array{edit: string, part?: ?string, fields: array<string, ?string>}> */
    private function asked(): array
    {
        /** @var list<array{edit: string, part?: ?string, fields: array<string, ?string>}> */
        return $this->validated('edits');
    }
}
