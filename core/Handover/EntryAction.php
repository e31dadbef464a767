<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Handover;

use Orthotaxis\Core\Comparison\DifferenceKind;

/** What planning is to do with one entry of a hand-over. */
enum EntryAction: string
{
    case Introduce = 'introduce';
    case Supersede = 'supersede';
    case Add = 'add';
    case Remove = 'remove';
    case Replace = 'replace';
    case Change = 'change';
    case Keep = 'keep';

    public static function for(DifferenceKind $kind): self
    {
        return match ($kind) {
            DifferenceKind::Added => self::Add,
            DifferenceKind::Removed => self::Remove,
            DifferenceKind::Replaced => self::Replace,
            DifferenceKind::Changed, DifferenceKind::Renumbered, DifferenceKind::Moved => self::Change,
            DifferenceKind::Unchanged => self::Keep,
        };
    }
}
