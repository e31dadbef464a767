<?php

declare(strict_types=1);

namespace App\Structures\Events;

use App\Ledger\Deed;

/** The revision sequence of a kind of item is set. */
final readonly class KindSet extends Deed
{
    public const NAME = 'kind.set';

    public function __construct(string $by, string $of, public string $sequence)
    {
        parent::__construct($by, $of);
    }
}
