<?php

declare(strict_types=1);

namespace App\People\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** A page to keep: an address within the application and a name for it. */
#[
    OA\Schema(
        required: ['address', 'name'],
        properties: [
            new OA\Property(property: 'address', type: 'string'),
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(
                property: 'group',
                description: 'code of a group of yours whose people have it too',
                type: 'string',
                nullable: true,
            ),
        ],
    ),
]
final class KeptPage extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        // One slash and then none: never the address of another host.
        return [
            'address' => ['required', 'string', 'max:1000', 'regex:#^/(?![/\\\\])[^\s\\\\]*$#D'],
            'name' => 'required|string|max:120',
            'group' => 'nullable|string|max:30',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give it a name.',
            'name.max' => 'At most 120 characters.',
            'address.*' => 'Only pages of Orthotaxis can be kept.',
        ];
    }
}
