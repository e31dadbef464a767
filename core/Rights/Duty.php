<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Rights;

/** What one person does on one change, and another may have to do besides. */
enum Duty: string
{
    case Request = 'request';
    case Decide = 'decide';
    case Originate = 'originate';
    case Edit = 'edit';
    case Waive = 'waive';
    case Sign = 'sign';
    case Release = 'release';
    case Close = 'close';

    /** As it is said of somebody who does it. */
    public function does(): string
    {
        return match ($this) {
            self::Request => 'raised the request',
            self::Decide => 'decided on the request',
            self::Originate => 'raised the order',
            self::Edit => 'edits the order',
            self::Waive => 'waived a check',
            self::Sign => 'signed',
            self::Release => 'released the order',
            self::Close => 'closed the order',
        };
    }

    /** As it is asked of somebody. */
    public function task(): string
    {
        return match ($this) {
            self::Request => 'raise the request',
            self::Decide => 'decide on the request',
            self::Originate => 'raise the order',
            self::Edit => 'edit the order',
            self::Waive => 'waive a check',
            self::Sign => 'sign',
            self::Release => 'release the order',
            self::Close => 'close the order',
        };
    }
}
