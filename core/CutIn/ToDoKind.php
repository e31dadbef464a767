<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

/** What has to be done for a cut-in. */
enum ToDoKind: string
{
    /** Release the change, so that what it wants can be ordered in time. */
    case Release = 'release';
    /** Have tools and programs ready. */
    case Tooling = 'tooling';
    /** Order what the change wants. */
    case Order = 'order';
    /** Order the old part a last time, in the normal way. */
    case LastOrder = 'last_order';
    case Hurry = 'hurry';
    case Cancel = 'cancel';
    /** Ask when an overdue receipt comes. */
    case Ask = 'ask';
    /** See to a started work order that is under way on the day. */
    case SeeTo = 'see_to';
    /** Begin a planned work order with the new part. */
    case Wait = 'wait';
    /** The day itself. */
    case CutIn = 'cut_in';

    /** As a list and a calendar tell it. */
    public function label(): string
    {
        return match ($this) {
            self::Release => 'Release the change',
            self::Tooling => 'Tools and programs ready',
            self::Order => 'Order the new part',
            self::LastOrder => 'Last order of the old part',
            self::Hurry => 'Expedite',
            self::Cancel => 'Cancel',
            self::Ask => 'Ask for a date: overdue',
            self::SeeTo => 'Rework or split: in progress on the day',
            self::Wait => 'Begin with the new part, on or after the day',
            self::CutIn => 'Cut in',
        };
    }

    /** What comes first of that which is due on one day. */
    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
