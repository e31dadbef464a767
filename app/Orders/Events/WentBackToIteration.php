<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** Lines are again what they were in an iteration. */
final readonly class WentBackToIteration extends Deed
{
    public const NAME = 'structure.went_back';

    public function __construct(string $by, string $of, public string $item, public int $iteration)
    {
        parent::__construct($by, $of);
    }
}
