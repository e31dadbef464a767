<?php

declare(strict_types=1);

namespace App\ChangeNotices\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        required: ['sha256'],
        properties: [new OA\Property(property: 'sha256', type: 'string', description: 'of the notice that was on screen')],
    ),
]
final class NoticeSeen extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['sha256' => 'required|string|size:64'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['sha256.*' => 'Say which notice you have read.'];
    }
}
