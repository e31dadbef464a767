<?php

declare(strict_types=1);

namespace App\Structures\Http;

use App\Structures\ItemKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Unit;

/** What is said of a new item. Its number is not: that comes from the rule of the category. */
#[
    OA\Schema(
        required: ['title', 'kind', 'category', 'unit', 'supply'],
        properties: [
            new OA\Property(property: 'title', type: 'string'),
            new OA\Property(property: 'kind', type: 'string', enum: ItemKind::class),
            new OA\Property(property: 'category', type: 'string', description: 'its code'),
            new OA\Property(property: 'unit', type: 'string', enum: Unit::class),
            new OA\Property(property: 'supply', type: 'string', enum: ['make', 'buy', 'subcontract']),
            new OA\Property(property: 'standard_cost', type: 'string'),
            new OA\Property(property: 'lead_time_days', type: 'string'),
            new OA\Property(property: 'supplier', type: 'string'),
            new OA\Property(property: 'mass_kg', type: 'string'),
            new OA\Property(property: 'material', type: 'string'),
            new OA\Property(property: 'attributes', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string')),
        ],
    ),
]
final class NewItem extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'title' => 'required|string|max:200',
            'kind' => ['required', Rule::enum(ItemKind::class)],
            'category' => 'required|string|exists:categories,code',
            'unit' => ['required', Rule::enum(Unit::class)],
            'supply' => 'required|in:make,buy,subcontract',
            'standard_cost' => ['nullable', 'regex:/^\d{1,12}(\.\d{1,4})?$/D'],
            'lead_time_days' => 'nullable|integer|min:0|max:3650',
            'supplier' => 'nullable|string|max:120',
            'material' => 'nullable|string|max:120',
            'mass_kg' => ['nullable', 'regex:/^\d{1,9}(\.\d{1,6})?$/D'],
            'attributes' => 'nullable|array|max:40',
            'attributes.*' => 'nullable|string|max:200',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => 'Give it a title.',
            'title.max' => 'At most 200 characters.',
            'kind' => 'Choose what it is.',
            'category' => 'Choose the category.',
            'kind.required' => 'Choose what it is.',
            'category.required' => 'Choose the category.',
            'unit' => 'Choose the unit it is counted in.',
            'unit.required' => 'Choose the unit it is counted in.',
            'supply' => 'Say whether it is made or bought.',
            'supply.required' => 'Say whether it is made or bought.',
            'standard_cost' => 'Write an amount such as 12.50.',
            'mass_kg' => 'Write the kilograms of one, such as 0.125.',
            'lead_time_days' => 'Write whole days, at most 3650.',
            'lead_time_days.*' => 'Write whole days, at most 3650.',
        ];
    }

    /** @return array{category: string, attributes: array<string, string>}&array<string, mixed> */
    public function item(): array
    {
        $text = fn(string $field): string => trim($this->string($field)->toString());

        return [
            'title' => $text('title'),
            'kind' => $text('kind'),
            'category' => $text('category'),
            'unit' => $text('unit'),
            'supply' => $text('supply'),
            'standard_cost' => $text('standard_cost') === '' ? null : Money::parse($text('standard_cost'), 'standard_cost')->tenThousandths,
            'lead_time_days' => $text('lead_time_days') === '' ? null : (int) $text('lead_time_days'),
            'supplier' => $text('supplier') ?: null,
            'material' => $text('material') ?: null,
            'mass' => $text('mass_kg') === '' ? null : FixedPoint::parse($text('mass_kg'), 6),
            'attributes' => array_map(
                static fn(mixed $value): string => is_scalar($value) ? trim((string) $value) : '',
                (array) $this->input('attributes', []),
            ),
        ];
    }
}
