<?php

declare(strict_types=1);

namespace App\Orders\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** What is said of work that is kept as an iteration. */
#[OA\Schema(properties: [new OA\Property(property: 'note', type: 'string')])]
final class KeptWork extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['note' => 'nullable|string|max:200'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['note.max' => 'At most 200 characters.'];
    }
}
