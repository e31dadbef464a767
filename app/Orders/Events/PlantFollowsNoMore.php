<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** The decision that a plant follows later is taken back. */
final readonly class PlantFollowsNoMore extends Deed
{
    public const NAME = 'order.plant_follows_no_more';

    public function __construct(string $by, string $of, public string $item, public string $plant)
    {
        parent::__construct($by, $of);
    }
}
