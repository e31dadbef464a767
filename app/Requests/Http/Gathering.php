<?php

declare(strict_types=1);

namespace App\Requests\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** The requests to be gathered into one, and the version of that one that was on screen. */
#[
    OA\Schema(
        required: ['requests', 'version'],
        properties: [
            new OA\Property(property: 'requests', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'version', type: 'integer'),
        ],
    ),
]
final class Gathering extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'requests' => 'required|array|min:1|max:50',
            'requests.*' => 'required|string|max:20|distinct',
            'version' => 'required|integer|min:1',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['requests.required' => 'Name the requests to gather.'];
    }

    /** @return list<string> */
    public function requests(): array
    {
        return array_values(array_map(strval(...), (array) $this->validated('requests')));
    }
}
