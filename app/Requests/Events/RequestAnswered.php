<?php

declare(strict_types=1);

namespace App\Requests\Events;

use App\Ledger\Deed;

/** What was asked of a request that was sent back is answered. */
final readonly class RequestAnswered extends Deed
{
    public const NAME = 'request.answered';

    public function __construct(string $by, string $of, public string $answer)
    {
        parent::__construct($by, $of);
    }
}
