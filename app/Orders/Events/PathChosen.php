<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** By what an order names or changes a rule chooses another path for it. */
final readonly class PathChosen extends Deed
{
    public const NAME = 'order.path_chosen';

    /** @param  ?string  $path  its code; null: one person signs */
    public function __construct(string $by, string $of, public ?string $path)
    {
        parent::__construct($by, $of);
    }
}
