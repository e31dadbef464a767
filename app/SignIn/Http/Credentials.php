<?php

declare(strict_types=1);

namespace App\SignIn\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        required: ['login', 'password'],
        properties: [
            new OA\Property(property: 'login', type: 'string'),
            new OA\Property(property: 'password', type: 'string'),
            new OA\Property(property: 'code', description: 'of the authenticator, or one for when it is lost', type: 'string'),
        ],
    ),
]
final class Credentials extends FormRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return ['login' => 'required|string|max:60', 'password' => 'required|string|max:200', 'code' => 'nullable|string|max:40'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['login.required' => 'Write your sign-in name.', 'password.required' => 'Write your password.'];
    }
}
