<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Handover;

use Orthotaxis\Core\Content\PartAction;

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
    /** Of a document in planning: what is decided about it. */
    case Settle = 'settle';

    public static function for(PartAction $action): self
    {
        return self::from($action->value);
    }
}
