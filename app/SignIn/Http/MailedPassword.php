<?php

declare(strict_types=1);

namespace App\SignIn\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        required: ['login', 'token', 'password'],
        properties: [
            new OA\Property(property: 'login', type: 'string'),
            new OA\Property(property: 'token', description: 'that stands in the address of the mail', type: 'string'),
            new OA\Property(property: 'password', type: 'string'),
        ],
    ),
]
final class MailedPassword extends FormRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return ['login' => 'required|string|max:60', 'token' => 'required|string|max:100', 'password' => 'required|string|max:200'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'login.*' => 'The address is not whole.',
            'token.*' => 'The address is not whole.',
            'password.required' => 'Write a password.',
        ];
    }
}
