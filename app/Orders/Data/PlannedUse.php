<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Structures\Data\ItemRow;
use OpenApi\Attributes as OA;

/** A line naming an item that an open order would add or end. */
#[OA\Schema]
final readonly class PlannedUse
{
    public function __construct(
        #[OA\Property(description: 'the parent')] public ItemRow $item,
        #[OA\Property(enum: ['adds', 'ends'])] public string $what,
        #[OA\Property] public string $order,
        #[OA\Property] public ?string $effective_on,
    ) {}
}
