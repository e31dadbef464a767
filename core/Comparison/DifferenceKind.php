<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Comparison;

use Orthotaxis\Core\Content\PartAction;

enum DifferenceKind: string
{
    case Added = 'added';
    case Removed = 'removed';
    case Replaced = 'replaced';
    case Changed = 'changed';
    case Renumbered = 'renumbered';
    case Moved = 'moved';
    case Unchanged = 'unchanged';

    /** What planning is to do with a part of which this became. */
    public function handedOver(): PartAction
    {
        return match ($this) {
            self::Added => PartAction::Add,
            self::Removed => PartAction::Remove,
            self::Replaced => PartAction::Replace,
            self::Changed, self::Renumbered, self::Moved => PartAction::Change,
            self::Unchanged => PartAction::Keep,
        };
    }

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
