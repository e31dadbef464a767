<?php

declare(strict_types=1);

namespace App\SignIn\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        required: ['current', 'password'],
        properties: [new OA\Property(property: 'current', type: 'string'), new OA\Property(property: 'password', type: 'string')],
    ),
]
final class OwnPassword extends FormRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return ['current' => 'required|string|max:200', 'password' => 'required|string|max:200'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['current.required' => 'Write the password you have.', 'password.required' => 'Write the new password.'];
    }
}
