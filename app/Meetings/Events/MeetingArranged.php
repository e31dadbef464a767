<?php

declare(strict_types=1);

namespace App\Meetings\Events;

use App\Ledger\Deed;

/** The order of a meeting is set. */
final readonly class MeetingArranged extends Deed
{
    public const NAME = 'meeting.arranged';

    /** @param  list<string>  $requests */
    public function __construct(string $by, string $of, public array $requests)
    {
        parent::__construct($by, $of);
    }
}
