<?php

declare(strict_types=1);

namespace App\SignIn\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['code'], properties: [new OA\Property(property: 'code', type: 'string')])]
final class ShownCode extends FormRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return ['code' => 'required|string|max:40'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['code.required' => 'Write the code that your authenticator shows.'];
    }
}
