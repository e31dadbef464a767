<?php

declare(strict_types=1);

namespace App\SignIn\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['login'], properties: [new OA\Property(property: 'login', type: 'string')])]
final class PasswordAsked extends FormRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return ['login' => 'required|string|max:60'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['login.required' => 'Write your sign-in name.'];
    }
}
