<?php

declare(strict_types=1);

namespace App\Dossier\Events;

use App\Ledger\Deed;

/** An order is made of approved requests, or of none. */
final readonly class OrderRaised extends Deed
{
    public const NAME = 'order.raised';

    /** @param  list<string>  $requests  numbers */
    public function __construct(string $by, string $of, public array $requests)
    {
        parent::__construct($by, $of);
    }
}
