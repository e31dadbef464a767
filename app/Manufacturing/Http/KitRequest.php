<?php

declare(strict_types=1);

namespace App\Manufacturing\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Which lines of a plant go into which kit. */
#[
    OA\Schema(
        required: ['kit', 'lines', 'seen'],
        properties: [
            new OA\Property(property: 'kit', type: 'string', description: 'its number'),
            new OA\Property(property: 'lines', type: 'array', items: new OA\Items(type: 'string'), description: 'their keys'),
            new OA\Property(property: 'seen', type: 'integer', description: 'the number of the newest edit on screen'),
        ],
    ),
]
final class KitRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'kit' => 'required|string|max:60',
            'lines' => 'present|array|max:2000',
            'lines.*' => 'uuid',
            'seen' => 'required|integer|min:0',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['kit.*' => 'Name the kit.', 'lines.*' => 'Name lines by their keys.', 'seen.*' => 'Say which edit was on screen last.'];
    }

    /** @return list<string> */
    public function lines(): array
    {
        /** @var array<string> $lines */
        $lines = $this->validated('lines');

        return array_values($lines);
    }
}
