<?php

declare(strict_types=1);

namespace App\Dossier\Events;

use App\Ledger\Deed;

/** A request has become an order. */
final readonly class RequestOrdered extends Deed
{
    public const NAME = 'request.ordered';

    public function __construct(string $by, string $of, public string $order)
    {
        parent::__construct($by, $of);
    }
}
