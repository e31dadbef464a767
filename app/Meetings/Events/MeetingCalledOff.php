<?php

declare(strict_types=1);

namespace App\Meetings\Events;

use App\Ledger\Deed;

/** The board does not meet then after all. */
final readonly class MeetingCalledOff extends Deed
{
    public const NAME = 'meeting.called_off';

    public function __construct(string $by, string $of, public string $starts_at)
    {
        parent::__construct($by, $of);
    }
}
