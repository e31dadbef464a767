<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Comparison;

enum DifferenceKind: string
{
    case Added = 'added';
    case Removed = 'removed';
    case Replaced = 'replaced';
    case Changed = 'changed';
    case Renumbered = 'renumbered';
    case Moved = 'moved';
    case Unchanged = 'unchanged';

    /** What the difference is when the two sides are swapped. */
    public function mirrored(): self
    {
        return match ($this) {
            self::Added => self::Removed,
            self::Removed => self::Added,
            default => $this,
        };
    }
}
