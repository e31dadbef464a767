<?php

declare(strict_types=1);

namespace App\Releases\Events;

use App\Ledger\Deed;

/** A hand-over is sent to planning once more. */
final readonly class HandOverSentAgain extends Deed
{
    public const NAME = 'hand_over.sent_again';

    public function __construct(string $by, string $of, public string $handOver)
    {
        parent::__construct($by, $of);
    }
}
