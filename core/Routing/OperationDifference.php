<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Routing;

use Orthotaxis\Core\Comparison\DifferenceKind;

/** What became of one operation: as it was, as it is, or both. */
final readonly class OperationDifference
{
    public DifferenceKind $kind;

    /** @var list<OperationField> the fields that differ, where there are both */
    public array $fields;

    public function __construct(public ?Operation $before, public ?Operation $after)
    {
        $this->fields = $before !== null && $after !== null ? $before->differsFrom($after) : [];
        $this->kind = match (true) {
            $before === null => DifferenceKind::Added,
            $after === null => DifferenceKind::Removed,
            $this->fields === [] => DifferenceKind::Unchanged,
            $this->fields === [OperationField::Number] => DifferenceKind::Renumbered,
            default => DifferenceKind::Changed,
        };
    }
}
