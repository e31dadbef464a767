<?php

declare(strict_types=1);

namespace App\Problems\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Something written about a report, and the version that was on screen. */
#[
    OA\Schema(
        schema: 'ReportWord',
        required: ['text', 'version'],
        properties: [new OA\Property(property: 'text', type: 'string'), new OA\Property(property: 'version', type: 'integer')],
    ),
]
final class Word extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['text' => 'required|string|max:5000', 'version' => 'required|integer|min:1'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['text.required' => 'Write it down.', 'text.max' => 'At most 5,000 characters.'];
    }

    public function text(): string
    {
        return $this->string('text')->toString();
    }
}
