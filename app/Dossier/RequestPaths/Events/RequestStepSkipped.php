<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths\Events;

use App\Ledger\Deed;

/** A step of the path of a request is left out. */
final readonly class RequestStepSkipped extends Deed
{
    public const NAME = 'request.step_skipped';

    public function __construct(string $by, string $of, public string $step, public string $reason)
    {
        parent::__construct($by, $of);
    }
}
