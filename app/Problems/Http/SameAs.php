<?php

declare(strict_types=1);

namespace App\Problems\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** The report that says the same, and the version that was on screen. */
#[
    OA\Schema(
        required: ['of', 'version'],
        properties: [new OA\Property(property: 'of', type: 'string'), new OA\Property(property: 'version', type: 'integer')],
    ),
]
final class SameAs extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['of' => 'required|string|max:20', 'version' => 'required|integer|min:1'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['of.*' => 'Name the report that says the same.'];
    }
}
