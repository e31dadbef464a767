<?php

declare(strict_types=1);

namespace App\Requests\Events;

use App\Ledger\Deed;

/** Requests are taken into one. */
final readonly class RequestsGathered extends Deed
{
    public const NAME = 'request.gathered_requests';

    /** @param  list<string>  $requests */
    public function __construct(string $by, string $of, public array $requests)
    {
        parent::__construct($by, $of);
    }
}
