<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Why a request is rejected. */
#[OA\Schema(required: ['reason'], properties: [new OA\Property(property: 'reason', type: 'string')])]
final class RequestRejection extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['reason' => 'required|string|max:2000'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['reason.required' => 'Give the reason.', 'reason.max' => 'At most 2,000 characters.'];
    }
}
