<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Form;

/** What a record has to say in a form, and what of it may be corrected there. */
enum RecordField: string
{
    case Title = 'title';
    case Description = 'description';
    case Priority = 'priority';
    case Reason = 'reason';
    case Source = 'source';
    case Site = 'site';
    case Number = 'number';
    case RaisedBy = 'raised_by';
    case RaisedOn = 'raised_on';
    case Items = 'items';
    case Reports = 'reports';
    case Finding = 'finding';
    case HandedBy = 'handed_by';
    case Today = 'today';

    /** Whether a form may bring something else for it. */
    public function isWritten(): bool
    {
        return in_array($this, [self::Title, self::Description, self::Priority, self::Reason, self::Source, self::Site], true);
    }
}
