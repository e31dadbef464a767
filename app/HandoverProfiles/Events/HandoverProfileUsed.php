<?php

declare(strict_types=1);

namespace App\HandoverProfiles\Events;

use App\Ledger\Deed;

/** Somebody sends a past hand-over by a profile. */
final readonly class HandoverProfileUsed extends Deed
{
    public const NAME = 'handover_profile.used';

    public function __construct(string $by, string $of, public string $handOver)
    {
        parent::__construct($by, $of);
    }
}
