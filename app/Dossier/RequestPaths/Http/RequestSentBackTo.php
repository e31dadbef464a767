<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Why, and to where on its path, a request is sent back. */
#[
    OA\Schema(
        required: ['reason', 'stage'],
        properties: [
            new OA\Property(property: 'reason', type: 'string'),
            new OA\Property(property: 'stage', type: 'integer', description: '0: to whoever raised it'),
        ],
    ),
]
final class RequestSentBackTo extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['reason' => 'required|string|max:2000', 'stage' => 'required|integer|between:0,30'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['reason.required' => 'Give the reason.', 'reason.max' => 'At most 2,000 characters.'];
    }
}
