<?php

declare(strict_types=1);

namespace App\Meetings\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Requests in the order in which the board takes them. */
#[
    OA\Schema(
        required: ['requests'],
        properties: [new OA\Property(property: 'requests', type: 'array', items: new OA\Items(type: 'string'))],
    ),
]
final class NewArrangement extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['requests' => 'required|array|min:1|max:500', 'requests.*' => 'required|string|max:20|distinct'];
    }

    /** @return list<string> */
    public function requests(): array
    {
        return array_values(array_map(strval(...), (array) $this->validated('requests')));
    }
}
