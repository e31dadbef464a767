<?php

declare(strict_types=1);

namespace Orthotaxis\Core\ItemData;

use Orthotaxis\Core\Content\Changes;

/** Which fields of an item differ. */
final readonly class FieldChanges implements Changes
{
    /** @param  array<string, array{string, string}>  $fields  before and after, by key; empty: not known */
    public function __construct(public array $fields) {}

    public function parts(): array
    {
        return array_map(
            static fn(string $key, array $values): array => [$values[0] === '' ? null : $key, $values[1] === '' ? null : $key],
            array_keys($this->fields),
            array_values($this->fields),
        );
    }

    public function count(): int
    {
        return count($this->fields);
    }
}
