<?php

declare(strict_types=1);

namespace App\Orders\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** To which order another is subordinate. */
#[
    OA\Schema(
        schema: 'OrderParent',
        required: ['parent', 'together', 'version'],
        properties: [
            new OA\Property(property: 'parent', type: 'string', description: 'number'),
            new OA\Property(property: 'together', type: 'boolean', description: 'released with it in one stroke; else after it'),
            new OA\Property(property: 'version', type: 'integer'),
        ],
    ),
]
final class ParentRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['parent' => 'required|string|max:40', 'together' => 'required|boolean', 'version' => 'required|integer|min:1'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['parent.*' => 'Choose an order.'];
    }
}
