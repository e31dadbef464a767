<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Comparison;

use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;

/** What became of one line: the line before, the line after, or both. */
final readonly class Difference
{
    public DifferenceKind $kind;

    /** Where the line stands in the parts list: its find number after, or before when it is gone. */
    public int $find;

    /** @var list<LineField> the fields that differ, when there are two lines */
    public array $fields;

    /** @param  ?ParentDifference  $movedFrom  where the line was on the left side, when it went to another parent */
    public function __construct(public ?Line $before, public ?Line $after, public ?ParentDifference $movedFrom = null)
    {
        $fields = $before !== null && $after !== null ? $before->differsFrom($after) : [];
        $this->fields = $fields;
        $this->find = ($after ?? $before)->find ?? 0;
        $this->kind = match (true) {
            $movedFrom !== null => DifferenceKind::Moved,
            $before === null => DifferenceKind::Added,
            $after === null => DifferenceKind::Removed,
            $fields === [] => DifferenceKind::Unchanged,
            in_array(LineField::Component, $fields, true) => DifferenceKind::Replaced,
            $fields === [LineField::Find] => DifferenceKind::Renumbered,
            default => DifferenceKind::Changed,
        };
    }
}
