<?php

declare(strict_types=1);

namespace App\Releases\Events;

use App\Ledger\Deed;

/** The revisions of an order are released. */
final readonly class OrderReleased extends Deed
{
    public const NAME = 'order.released';

    /** @param  list<string>  $revisions */
    public function __construct(string $by, string $of, public string $effectiveFrom, public array $revisions, public string $handOver)
    {
        parent::__construct($by, $of);
    }
}
