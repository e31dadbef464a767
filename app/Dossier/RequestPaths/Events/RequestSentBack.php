<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths\Events;

use App\Ledger\Deed;

/** A request is sent back to an earlier stage of its path. */
final readonly class RequestSentBack extends Deed
{
    public const NAME = 'request.sent_back';

    public function __construct(string $by, string $of, public int $stage, public string $reason)
    {
        parent::__construct($by, $of);
    }
}
