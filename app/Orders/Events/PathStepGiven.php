<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** A step of the path of an order is given to others. */
final readonly class PathStepGiven extends Deed
{
    public const NAME = 'order.step_reassigned';

    /** @param  list<string>  $to */
    public function __construct(string $by, string $of, public string $step, public array $to, public string $reason)
    {
        parent::__construct($by, $of);
    }
}
