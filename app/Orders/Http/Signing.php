<?php

declare(strict_types=1);

namespace App\Orders\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** A signature: the password, and what was on screen. */
#[
    OA\Schema(
        required: ['password', 'digest'],
        properties: [new OA\Property(property: 'password', type: 'string'), new OA\Property(property: 'digest', type: 'string')],
    ),
]
final class Signing extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'password' => 'required|string|max:200',
            'digest' => 'required|string|max:70',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'password.required' => 'Sign with your password.',
        ];
    }
}
