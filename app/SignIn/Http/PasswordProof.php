<?php

declare(strict_types=1);

namespace App\SignIn\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['password'], properties: [new OA\Property(property: 'password', type: 'string')])]
final class PasswordProof extends FormRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return ['password' => 'required|string|max:200'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['password.required' => 'Write your password.'];
    }
}
