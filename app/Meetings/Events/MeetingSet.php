<?php

declare(strict_types=1);

namespace App\Meetings\Events;

use App\Ledger\Deed;

/** A day on which the board meets is set. */
final readonly class MeetingSet extends Deed
{
    public const NAME = 'meeting.set';

    public function __construct(string $by, string $of, public string $starts_at, public int $minutes, public string $place)
    {
        parent::__construct($by, $of);
    }
}
