<?php

declare(strict_types=1);

namespace App\Orders\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** A reason, and the version that was on screen. */
#[
    OA\Schema(
        required: ['reason', 'version'],
        properties: [new OA\Property(property: 'reason', type: 'string'), new OA\Property(property: 'version', type: 'integer')],
    ),
]
final class Because extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'reason' => 'required|string|max:2000',
            'version' => 'required|integer|min:1',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'reason.required' => 'Give the reason.',
            'reason.max' => 'At most 2,000 characters.',
        ];
    }
}
