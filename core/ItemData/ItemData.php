<?php

declare(strict_types=1);

namespace Orthotaxis\Core\ItemData;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Content\Content;
use Orthotaxis\Core\Content\HandedPart;
use Orthotaxis\Core\Content\PartAction;

/** What is known of an item from a day on: cost, lead time, supply, planning figures of plants, attributes, whether it is retired. */
final readonly class ItemData implements Content
{
    /** @var array<string, string> by key, in the order in which they are read; what is not known is not among them */
    public array $values;

    /** @param  array<string, string>  $values  by key, as ItemField::read gives them */
    public function __construct(array $values = [])
    {
        $known = array_filter($values, static fn(string $text): bool => $text !== '');
        uksort($known, static fn(string $a, string $b): int => DataField::of($a)->rank() <=> DataField::of($b)->rank());
        $this->values = $known;
    }

    public function value(ItemField $field, string $of = ''): string
    {
        return $this->values[(new DataField($field, $of))->key()] ?? '';
    }

    public function isRetired(): bool
    {
        return $this->value(ItemField::Retired) !== '';
    }

    public function edited(iterable $edits): static
    {
        $values = $this->values;
        foreach ($edits as $edit) {
            $set = $edit instanceof SetField ? $edit : throw new \LogicException("{$edit->name()} sets no field of an item.");
            $values[$set->part()] = $set->field->field->read($set->text, $set->part());
        }

        return new self($values);
    }

    public function faults(): array
    {
        $successor = $this->value(ItemField::ReplacedBy);

        return $successor !== '' && !$this->isRetired() ? ["It is replaced by {$successor}, but not retired."] : [];
    }

    public function since(Content $before): FieldChanges
    {
        $was = $before instanceof self ? $before : throw new \LogicException('Data of items are compared with data of items.');
        $fields = [];
        foreach ($this->with($was)->values as $key => $_) {
            $change = [$was->values[$key] ?? '', $this->values[$key] ?? ''];
            if ($change[0] !== $change[1]) {
                $fields[$key] = $change;
            }
        }

        return new FieldChanges($fields);
    }

    public function editsTo(Content $wanted, ?array $parts = null): array
    {
        $changes = ($wanted instanceof self ? $wanted : throw new \LogicException('Data of items become data of items.'))->since($this);

        return array_map(
            static fn(string $key, array $change): SetField => new SetField(DataField::of($key), $change[1]),
            array_map(strval(...), array_keys($changes->fields)),
            $changes->fields,
        );
    }

    public function renamedIn(Content $newer): array
    {
        return [];
    }

    public function called(string $part): string
    {
        return lcfirst(DataField::of($part)->label());
    }

    public function says(string $part): array
    {
        return isset($this->values[$part]) ? ['value' => $this->values[$part]] : [];
    }

    /** All of it holds from one day on. */
    public function on(Day $day): static
    {
        return $this;
    }

    public function handedOver(Content $before): array
    {
        $was = $before instanceof self ? $before : throw new \LogicException('Data of items are compared with data of items.');
        $parts = [];
        foreach ($this->with($was)->values as $key => $_) {
            [$old, $new] = [$was->values[$key] ?? '', $this->values[$key] ?? ''];
            $field = DataField::of($key);
            $parts[] = new HandedPart(
                match (true) {
                    $old === $new => PartAction::Keep,
                    $old === '' => PartAction::Add,
                    $new === '' => PartAction::Remove,
                    default => PartAction::Change,
                },
                ['field' => $field->field->value, 'of' => $field->of, 'value' => $new === '' ? $old : $new],
            );
        }

        return $parts;
    }

    public function told(): array
    {
        return $this->values;
    }

    /** With the fields that only the other has. */
    private function with(self $other): self
    {
        return new self($this->values + $other->values);
    }
}
