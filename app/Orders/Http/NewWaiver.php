<?php

declare(strict_types=1);

namespace App\Orders\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Which check is let go, as it was on screen, and why. */
#[
    OA\Schema(
        required: ['check', 'fault', 'reason', 'version'],
        properties: [
            new OA\Property(property: 'check', type: 'string', description: 'the name under which it is let go'),
            new OA\Property(property: 'fault', type: 'string', description: 'what did not hold, as it was on screen'),
            new OA\Property(property: 'reason', type: 'string'),
            new OA\Property(property: 'version', type: 'integer'),
        ],
    ),
]
final class NewWaiver extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'check' => 'required|string|max:60',
            'fault' => 'required|string|max:20000',
            'reason' => 'required|string|max:2000',
            'version' => 'required|integer|min:1',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'check.*' => 'Choose a check.',
            'fault.*' => 'Say what does not hold.',
            'reason.required' => 'Give the reason.',
            'reason.max' => 'At most 2,000 characters.',
        ];
    }
}
