<?php

declare(strict_types=1);

namespace App\FollowThrough\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** That an order is closed, and why documents in planning that still name what it replaced are let go. */
#[
    OA\Schema(
        required: ['version'],
        properties: [
            new OA\Property(property: 'version', type: 'integer'),
            new OA\Property(property: 'reason', type: 'string', description: 'why open documents are let go; empty: they are not'),
        ],
    ),
]
final class Closing extends FormRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return ['version' => 'required|integer|min:1', 'reason' => 'nullable|string|max:300'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['reason.max' => 'At most 300 characters.'];
    }
}
