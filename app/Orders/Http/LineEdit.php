<?php

declare(strict_types=1);

namespace App\Orders\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Edit\EditOperation;
use Orthotaxis\Core\Structure\LineField;

/** One edit of one line. Fields are text, as typed. */
#[
    OA\Schema(
        required: ['operation', 'line', 'fields', 'seen'],
        properties: [
            new OA\Property(property: 'operation', type: 'string', enum: EditOperation::class),
            new OA\Property(property: 'line', type: 'string'),
            new OA\Property(property: 'fields', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string')),
            new OA\Property(property: 'seen', type: 'integer'),
        ],
    ),
]
final class LineEdit extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'operation' => ['required', Rule::enum(EditOperation::class)],
            'line' => 'nullable|uuid|required_unless:operation,add',
            'fields' => ['present', 'array:' . implode(',', array_column(LineField::ofEngineering(), 'value'))],
            'fields.*' => 'nullable|string|max:4000',
            'seen' => 'required|integer|min:0',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'fields.array' => 'A line has no such field.',
            'line.required_unless' => 'Say which line.',
        ];
    }
}
