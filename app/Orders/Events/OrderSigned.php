<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** An order is signed. */
final readonly class OrderSigned extends Deed
{
    public const NAME = 'order.signed';

    /** @param  list<string>  $checks  rows of the check list of the step, all ticked */
    public function __construct(string $by, string $of, public string $digest, public ?string $step = null, public array $checks = [])
    {
        parent::__construct($by, $of);
    }
}
