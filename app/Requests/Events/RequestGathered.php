<?php

declare(strict_types=1);

namespace App\Requests\Events;

use App\Ledger\Deed;

/** A request is taken into another. */
final readonly class RequestGathered extends Deed
{
    public const NAME = 'request.gathered';

    public function __construct(string $by, string $of, public string $into)
    {
        parent::__construct($by, $of);
    }
}
