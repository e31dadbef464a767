<?php

declare(strict_types=1);

namespace App\Dossier\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\CutIn\ToDoKind;

/** Who does what has to be done for a chosen cut-in day. */
#[
    OA\Schema(
        required: ['cut_in', 'to'],
        properties: [
            new OA\Property(property: 'cut_in', type: 'integer', description: 'id of the chosen day'),
            new OA\Property(
                property: 'to',
                type: 'array',
                items: new OA\Items(
                    required: ['kind', 'to'],
                    properties: [
                        new OA\Property(property: 'kind', type: 'string', enum: ToDoKind::class),
                        new OA\Property(property: 'to', type: 'string', description: 'sign-in name, or group: and the code of a group'),
                    ],
                ),
            ),
        ],
    ),
]
final class CutInTasks extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'cut_in' => 'required|integer|min:1',
            'to' => 'required|array|min:1|max:20',
            'to.*.kind' => ['required', Rule::enum(ToDoKind::class), 'distinct'],
            'to.*.to' => 'required|string|max:80',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['to.required' => 'Choose who does at least one of them.'];
    }

    /** @return array<string, string> by kind */
    public function assignees(): array
    {
        /** @var list<array{kind: string, to: string}> $to */
        $to = (array) $this->validated('to');

        return array_column($to, 'to', 'kind');
    }
}
