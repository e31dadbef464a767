<?php

declare(strict_types=1);

namespace App\Requests\Events;

use App\Ledger\Deed;

/** A gathered request is by itself again. */
final readonly class RequestTakenApart extends Deed
{
    public const NAME = 'request.taken_apart';

    public function __construct(string $by, string $of, public ?string $from)
    {
        parent::__construct($by, $of);
    }
}
