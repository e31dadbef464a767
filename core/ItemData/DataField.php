<?php

declare(strict_types=1);

namespace Orthotaxis\Core\ItemData;

use Orthotaxis\Core\Refusal;

/** One field of an item: of a plant or an attribute, where it is of several. */
final readonly class DataField
{
    /** @param  string  $of  the plant, or the name of the attribute; empty where there is only one */
    public function __construct(public ItemField $field, public string $of = '') {}

    /**
     * @param  string  $key  as key() gives it
     *
     * @throws Refusal at the key when no field is called so
     */
    public static function of(string $key): self
    {
        [$name, $of] = explode('@', "{$key}@", 2);
        $of = $of === '' ? '' : substr($of, 0, -1);
        $field = ItemField::tryFrom($name);
        if ($field === null || $field->isOfSeveral() === ($of === '')) {
            throw Refusal::at($key, 'An item has no such field.');
        }

        return new self($field, $of);
    }

    /** The name under which it is kept and told: "standard_cost", "safety_stock@Weir". */
    public function key(): string
    {
        return $this->of === '' ? $this->field->value : "{$this->field->value}@{$this->of}";
    }

    /** As it is called in a sentence: "Standard cost", "Safety stock at Weir", "Attribute colour". */
    public function label(): string
    {
        return match (true) {
            $this->field->isOfPlant() => "{$this->field->label()} at {$this->of}",
            $this->of !== '' => "{$this->field->label()} {$this->of}",
            default => $this->field->label(),
        };
    }

    /** @return array{int, string} fields in the order in which they are read: as the trade lists them, then by plant or name */
    public function rank(): array
    {
        return [(int) array_search($this->field, ItemField::cases(), true), $this->of];
    }
}
