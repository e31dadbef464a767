<?php

declare(strict_types=1);

namespace App\Planning\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Items that planning is to be told of. */
#[
    OA\Schema(
        required: ['items'],
        properties: [new OA\Property(property: 'items', type: 'array', items: new OA\Items(type: 'string'), description: 'numbers')],
    ),
]
final class IntroducedItems extends FormRequest
{
    public const MOST = 500;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['items' => 'required|array|list|max:' . self::MOST, 'items.*' => 'required|string|max:60'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['items.required' => 'Name at least one item.', 'items.max' => 'At most ' . self::MOST . ' items at once.'];
    }

    /** @return non-empty-list<string> each once */
    public function numbers(): array
    {
        /** @var non-empty-list<string> $items */
        $items = $this->validated('items');

        return array_values(array_unique($items));
    }
}
