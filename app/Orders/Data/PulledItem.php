<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Structures\Data\ItemRow;
use OpenApi\Attributes as OA;

/** An item that can go onto an order together with others. */
#[OA\Schema]
final readonly class PulledItem
{
    public function __construct(
        #[OA\Property] public ItemRow $item,
        #[OA\Property(description: 'whether the order names it already')] public bool $named,
    ) {}
}
