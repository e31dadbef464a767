<?php

declare(strict_types=1);

namespace App\Paths\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Who is responsible. */
#[
    OA\Schema(
        required: ['who'],
        properties: [new OA\Property(property: 'who', type: 'string', description: 'a sign-in name, or group: and a code; empty: nobody')],
    ),
]
final class ResponsibleRule extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['who' => 'present|nullable|string|max:80'];
    }
}
