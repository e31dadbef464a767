<?php

declare(strict_types=1);

namespace App\Discussion\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** What somebody says; @ and a sign-in name tells that person of it. */
#[OA\Schema(required: ['text'], properties: [new OA\Property(property: 'text', type: 'string')])]
final class NewComment extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['text' => 'required|string|max:5000'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['text.required' => 'Write something.', 'text.*' => 'At most 5,000 characters.'];
    }
}
