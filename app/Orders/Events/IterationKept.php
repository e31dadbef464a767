<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** Work on a coming revision is kept as it is. */
final readonly class IterationKept extends Deed
{
    public const NAME = 'structure.iteration_kept';

    public function __construct(string $by, string $of, public string $item, public int $iteration, public string $note)
    {
        parent::__construct($by, $of);
    }
}
