<?php

declare(strict_types=1);

namespace App\ItemData\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\ItemData\DataField;
use Orthotaxis\Core\ItemData\SetField;
use Orthotaxis\Core\Refusal;

/** What is set of an item, as typed; all of it or nothing. */
#[
    OA\Schema(
        required: ['fields', 'seen'],
        properties: [
            new OA\Property(
                property: 'fields',
                type: 'object',
                description: 'by key, such as standard_cost or safety_stock@plant; empty: not known any more',
                additionalProperties: new OA\AdditionalProperties(type: 'string'),
            ),
            new OA\Property(property: 'seen', type: 'integer', description: 'the number of the newest edit on screen'),
        ],
    ),
]
final class SetFields extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['fields' => 'required|array|min:1|max:200', 'fields.*' => 'nullable|string|max:200', 'seen' => 'required|integer|min:0'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'fields.*' => 'Say which fields, and what they read.',
            'fields.*.max' => 'At most 200 characters.',
            'seen.*' => 'Say which edit was on screen last.',
        ];
    }

    /**
     * @return non-empty-list<SetField>
     *
     * @throws Refusal at the key that no field has
     */
    public function edits(): array
    {
        /** @var array<?string> $fields */
        $fields = $this->input('fields');
        $edits = [];
        foreach ($fields as $key => $text) {
            $edits[] = new SetField(DataField::of((string) $key), trim((string) $text));
        }

        return $edits === [] ? throw new \LogicException('Fields are required.') : $edits;
    }
}
