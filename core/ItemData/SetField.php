<?php

declare(strict_types=1);

namespace Orthotaxis\Core\ItemData;

use Orthotaxis\Core\Content\Edit;

/** One field of an item is set, or cleared. */
final readonly class SetField implements Edit
{
    public const NAME = 'set_field';

    /** What is set of a field. */
    public const VALUE = 'value';

    public function __construct(public DataField $field, public string $text) {}

    /** @param  array<string, string>  $fields  as fields() gave them */
    public static function kept(string $part, array $fields): self
    {
        return new self(DataField::of($part), $fields[self::VALUE] ?? '');
    }

    public function name(): string
    {
        return self::NAME;
    }

    public function version(): int
    {
        return 1;
    }

    public function part(): string
    {
        return $this->field->key();
    }

    public function fields(): array
    {
        return [self::VALUE => $this->text];
    }

    public function of(string $part): self
    {
        return new self(DataField::of($part), $this->text);
    }

    public function without(array $fields): null
    {
        return null;
    }

    public function touches(): array
    {
        return [self::VALUE];
    }

    public function conflictsWith(Edit $other): array
    {
        return $other instanceof self && $other->part() === $this->part() ? $this->touches() : [];
    }

    public function inWords(): string
    {
        return $this->text === '' ? "{$this->field->label()} cleared" : "{$this->field->label()} to {$this->text}";
    }
}
