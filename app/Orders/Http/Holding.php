<?php

declare(strict_types=1);

namespace App\Orders\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Why an order is put on hold, or goes on, and whether what is due meanwhile moves. */
#[
    OA\Schema(
        required: ['reason', 'version'],
        properties: [
            new OA\Property(property: 'reason', type: 'string'),
            new OA\Property(property: 'moves', type: 'boolean', description: 'when it goes on: due days move by the days it was on hold'),
            new OA\Property(property: 'version', type: 'integer'),
        ],
    ),
]
final class Holding extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['reason' => 'required|string|max:2000', 'moves' => 'sometimes|boolean', 'version' => 'required|integer|min:1'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['reason.required' => 'Give the reason.', 'reason.max' => 'At most 2,000 characters.'];
    }
}
