<?php

declare(strict_types=1);

namespace App\ItemData\Data;

use App\ItemData\FieldsOfItem;
use App\Structures\Models\Item;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\ItemData\DataField;
use Orthotaxis\Core\ItemData\ItemData;
use Orthotaxis\Core\ItemData\ItemField;

/** One field of an item before and after. */
#[OA\Schema]
final readonly class FieldRow
{
    public function __construct(
        #[OA\Property(description: 'standard_cost; of a plant or an attribute: safety_stock@plant, attribute@name')] public string $key,
        #[OA\Property(enum: ItemField::class)] public string $field,
        #[OA\Property] public string $label,
        #[OA\Property(description: 'empty: not known')] public string $before,
        #[OA\Property(description: 'empty: not known')] public string $after,
        #[OA\Property(enum: ['unchanged', 'added', 'removed', 'changed'])] public string $mark,
    ) {}

    public static function of(Item $item, DataField $field, ItemData $before, ItemData $after): self
    {
        $values = [$before->values[$field->key()] ?? '', $after->values[$field->key()] ?? ''];

        return new self(
            key: $field->key(),
            field: $field->field->value,
            label: FieldsOfItem::label($item, $field),
            before: $values[0],
            after: $values[1],
            mark: match (true) {
                $values[0] === $values[1] => 'unchanged',
                $values[0] === '' => 'added',
                $values[1] === '' => 'removed',
                default => 'changed',
            },
        );
    }
}
