<?php

declare(strict_types=1);

namespace App\ItemData;

use App\Structures\Models\Item;
use App\Vocabulary\ChoiceList;
use Orthotaxis\Core\ItemData\DataField;
use Orthotaxis\Core\ItemData\ItemData;
use Orthotaxis\Core\ItemData\ItemField;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Refusal;

/** Which fields an item has, and what its columns say of them. */
final readonly class FieldsOfItem
{
    /**
     * @param  ItemData  ...$said  what is said of it, which may have fields that it is not asked for any more
     * @return list<DataField> in the order in which they are read
     */
    public static function all(Item $item, ItemData ...$said): array
    {
        $fields = [];
        foreach (ItemField::cases() as $field) {
            foreach (self::names($item, $field) as $of) {
                $fields[(new DataField($field, $of))->key()] = new DataField($field, $of);
            }
        }
        foreach ($said as $data) {
            foreach (array_keys($data->values) as $key) {
                $fields[$key] ??= DataField::of($key);
            }
        }
        usort($fields, static fn(DataField $a, DataField $b): int => $a->rank() <=> $b->rank());

        return $fields;
    }

    /** @throws Refusal when the item has no such field: an attribute that nobody asks for, a plant that there is not */
    public static function mustHave(Item $item, DataField $field): void
    {
        if (!in_array($field->of, self::names($item, $field->field), true)) {
            throw Refusal::at(
                $field->key(),
                $field->field->isOfPlant() ? "There is no plant {$field->of}." : "{$item->number} has no attribute {$field->of}.",
            );
        }
    }

    /** What its columns say, which is what holds today. */
    public static function today(Item $item): ItemData
    {
        $values = [
            ItemField::StandardCost->value => $item->standard_cost === null ? '' : (string) Money::ofTenThousandths($item->standard_cost),
            ItemField::LeadTime->value => (string) $item->lead_time_days,
            ItemField::Supply->value => $item->supply,
            ItemField::Supplier->value => (string) $item->supplier,
            ItemField::Mass->value => $item->mass === null ? '' : FixedPoint::format($item->mass, 6),
            ItemField::Material->value => (string) $item->material,
        ];
        foreach (self::attributes($item) as $name => $value) {
            $values[(new DataField(ItemField::Attribute, $name))->key()] = $value;
        }

        return new ItemData($values);
    }

    /** As its category calls it. */
    public static function label(Item $item, DataField $field): string
    {
        return $field->field === ItemField::Attribute
            ? array_column($item->category->asked, 'label', 'name')[$field->of] ?? $field->of
            : $field->label();
    }

    /** @return list<string> plants or attributes, of what there can be several of */
    private static function names(Item $item, ItemField $field): array
    {
        return match (true) {
            $field->isOfPlant() => ChoiceList::Site->codes(),
            $field === ItemField::Attribute => array_values(
                array_unique([
                    ...array_column($item->category->asked, 'name'),
                    ...array_map(strval(...), array_keys(self::attributes($item))),
                ]),
            ),
            default => [''],
        };
    }

    /** @return array<string> by name */
    private static function attributes(Item $item): array
    {
        /** @var array<string> */
        return $item->getAttribute('attributes');
    }
}
