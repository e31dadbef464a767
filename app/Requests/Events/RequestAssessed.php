<?php

declare(strict_types=1);

namespace App\Requests\Events;

use App\Ledger\Deed;

/** A finding on a request. */
final readonly class RequestAssessed extends Deed
{
    public const NAME = 'request.assessed';

    public function __construct(string $by, string $of, public string $finding)
    {
        parent::__construct($by, $of);
    }
}
