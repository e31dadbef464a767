<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Edit;

use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;

/** What edits of a line have in common: which line, and the fields that they set. */
trait OfLine
{
    /** @param  array<value-of<LineField>, string>  $fields */
    public function __construct(private readonly string $line, private readonly array $fields = []) {}

    public function name(): string
    {
        return $this->operation()->value;
    }

    public function version(): int
    {
        return EditOperation::VERSION;
    }

    public function part(): string
    {
        return $this->line;
    }

    public function fields(): array
    {
        return $this->fields;
    }

    public function of(string $line): LineEdit
    {
        return new self($line, $this->fields);
    }

    /** All or nothing; where fields change each for itself, the edit says so. */
    public function without(array $fields): ?LineEdit
    {
        return null;
    }

    public function touches(): array
    {
        return array_keys($this->fields);
    }

    public function conflictsWith(Edit $other): array
    {
        return $this->line === $other->part() ? array_values(array_intersect($this->touches(), $other->touches())) : [];
    }

    private static function present(?Line $line): Line
    {
        return $line ?? throw Refusal::at('line', 'This line is no longer in the structure: it was taken out.');
    }
}
