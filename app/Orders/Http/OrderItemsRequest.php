<?php

declare(strict_types=1);

namespace App\Orders\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Change\Outcome;

/** Many items of an order, and what becomes of them. */
#[
    OA\Schema(
        required: ['items', 'version'],
        properties: [
            new OA\Property(property: 'items', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(
                property: 'outcome',
                type: 'string',
                enum: Outcome::class,
                nullable: true,
                description: 'left out: what each has',
            ),
            new OA\Property(
                property: 'disposition',
                type: 'string',
                enum: Disposition::class,
                nullable: true,
                description: 'left out: what each has',
            ),
            new OA\Property(property: 'version', type: 'integer'),
        ],
    ),
]
final class OrderItemsRequest extends FormRequest
{
    public const MOST = 2_000;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'items' => 'required|array|list|max:' . self::MOST,
            'items.*' => 'required|string|max:100',
            'outcome' => ['nullable', Rule::enum(Outcome::class)],
            'disposition' => ['nullable', Rule::enum(Disposition::class)],
            'version' => 'required|integer|min:1',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['items.required' => 'Name at least one item.', 'items.max' => 'At most ' . self::MOST . ' items at once.'];
    }

    /** @return list<string> */
    public function items(): array
    {
        /** @var list<string> $items */
        $items = $this->validated('items');

        return array_map(trim(...), $items);
    }
}
