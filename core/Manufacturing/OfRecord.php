<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Content\Edit;

/** What edits of records have in common: the engineering line, and what is said about it. */
trait OfRecord
{
    /** @param  array<string, string>  $fields */
    public function __construct(private readonly string $line, private readonly array $fields = []) {}

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
        return $this->line;
    }

    public function fields(): array
    {
        return $this->fields;
    }

    public function of(string $part): RecordEdit
    {
        return new self($part, $this->fields);
    }

    public function without(array $fields): null
    {
        return null;
    }

    public function touches(): array
    {
        return ['record'];
    }

    /** Of two that say something about one line, only one has its way. */
    public function conflictsWith(Edit $other): array
    {
        return $other instanceof RecordEdit && $other->part() === $this->line ? $this->touches() : [];
    }
}
