<?php

declare(strict_types=1);

namespace App\Manufacturing\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Which engineering lines a plant takes over. */
#[
    OA\Schema(
        required: ['lines', 'seen'],
        properties: [
            new OA\Property(
                property: 'lines',
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'keys of engineering lines; none: all that are open',
            ),
            new OA\Property(property: 'seen', type: 'integer', description: 'the number of the newest edit on screen'),
        ],
    ),
]
final class TakeOverRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['lines' => 'present|array|max:5000', 'lines.*' => 'uuid', 'seen' => 'required|integer'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['lines.*' => 'Name lines by their keys.', 'seen.*' => 'Say which edit was on screen last.'];
    }

    /** @return list<string> */
    public function lines(): array
    {
        /** @var array<string> $lines */
        $lines = $this->validated('lines');

        return array_values($lines);
    }
}
