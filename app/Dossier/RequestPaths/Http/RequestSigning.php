<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** A signature of a step of the path of a request. */
#[
    OA\Schema(
        required: ['digest'],
        properties: [
            new OA\Property(property: 'password', type: 'string', description: 'where the step asks for it'),
            new OA\Property(property: 'digest', type: 'string', description: 'of what was on screen'),
            new OA\Property(
                property: 'step',
                type: 'integer',
                description: 'its place in the path; the first that you can sign where nothing is said',
            ),
            new OA\Property(
                property: 'checks',
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'rows of the check list of the step that are ticked',
            ),
            new OA\Property(property: 'reason', type: 'string'),
        ],
    ),
]
final class RequestSigning extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'password' => 'nullable|string|max:200',
            'step' => 'nullable|integer|between:0,30',
            'digest' => 'required|string|max:70',
            'checks' => 'array|max:30',
            'checks.*' => 'string|max:200',
            'reason' => 'nullable|string|max:2000',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['reason.max' => 'At most 2,000 characters.'];
    }

    /** @return list<string> */
    public function checks(): array
    {
        return array_values(array_filter((array) $this->validated('checks', []), is_string(...)));
    }
}
