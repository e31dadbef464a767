<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** A step of the path of an order is left out. */
final readonly class PathStepSkipped extends Deed
{
    public const NAME = 'order.step_skipped';

    public function __construct(string $by, string $of, public string $step, public string $reason)
    {
        parent::__construct($by, $of);
    }
}
