<?php

declare(strict_types=1);

namespace App\Orders\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Whether a structure is to have what a design model shows in it. */
#[
    OA\Schema(
        required: ['assembly', 'component', 'unwanted'],
        properties: [
            new OA\Property(property: 'assembly', type: 'string', description: 'its number'),
            new OA\Property(property: 'component', type: 'string', description: 'its number, or what the model calls it'),
            new OA\Property(property: 'unwanted', type: 'boolean'),
        ],
    ),
]
final class UnwantedPart extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['assembly' => 'required|string|max:100', 'component' => 'required|string|max:200', 'unwanted' => 'required|boolean'];
    }
}
