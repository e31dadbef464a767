<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

/** A plant that builds an item on an order, and how many engineering lines of it, as the order makes them, are not accounted for there. */
final readonly class PlantState
{
    public function __construct(public string $item, public string $plant, public int $open) {}
}
