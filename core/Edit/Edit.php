<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Edit;

use Orthotaxis\Core\Structure\LineField;

/**
 * One thing that an order does to one line: add it, remove it, put another component in its place, or change fields.
 *
 * Fields are kept as people typed them; they are read when the edit is applied.
 */
final readonly class Edit
{
    /** @param  array<value-of<LineField>, string>  $fields what is set, by field; empty for a removal */
    public function __construct(public EditOperation $operation, public string $line, public array $fields = []) {}

    /** Whether this and another edit of the same structure cannot both be kept without somebody choosing. */
    public function conflictsWith(self $other): bool
    {
        if ($this->line !== $other->line) {
            return false;
        }
        $removal = $this->operation === EditOperation::Remove || $other->operation === EditOperation::Remove;

        return $removal || array_intersect_key($this->fields, $other->fields) !== [];
    }
}
