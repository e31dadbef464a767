<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** A plant is to take over what an order changes of an item later, under another order. */
final readonly class PlantFollows extends Deed
{
    public const NAME = 'order.plant_follows';

    public function __construct(
        string $by,
        string $of,
        public string $item,
        public string $plant,
        public string $under,
        public string $day,
        public string $reason,
    ) {
        parent::__construct($by, $of);
    }
}
