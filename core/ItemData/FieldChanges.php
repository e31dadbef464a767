<?php

declare(strict_types=1);

namespace Orthotaxis\Core\ItemData;

use Orthotaxis\Core\Content\Changes;

/** Which fields of an item differ. */
final readonly class FieldChanges implements Changes
{
    /** @param  array<string, array{string, string}>  $fields  before and after, by key; empty: not known */
    public function __construct(public array $fields) {}

    public function count(): int
    {
        return count($this->fields);
    }
}
