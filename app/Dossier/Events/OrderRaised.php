<?php

declare(strict_types=1);

namespace App\Dossier\Events;

use App\Ledger\Deed;

/** An order is made of an approved request. */
final readonly class OrderRaised extends Deed
{
    public const NAME = 'order.raised';

    public function __construct(string $by, string $of, public string $request)
    {
        parent::__construct($by, $of);
    }
}
