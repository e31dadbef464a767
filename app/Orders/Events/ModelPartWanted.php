<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** Somebody decided whether a structure is to have what a design model shows in it. */
final readonly class ModelPartWanted extends Deed
{
    public const NAME = 'order.model_part_wanted';

    public function __construct(string $by, string $of, public string $assembly, public string $component, public bool $wanted)
    {
        parent::__construct($by, $of);
    }
}
