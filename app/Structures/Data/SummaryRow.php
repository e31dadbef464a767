<?php

declare(strict_types=1);

namespace App\Structures\Data;

use OpenApi\Attributes as OA;

/** A component with all that goes of it into one of the top, over all ways. */
#[OA\Schema]
final readonly class SummaryRow
{
    public function __construct(
        #[OA\Property] public ItemRow $item,
        #[OA\Property(description: 'the one revision that lines name; null: the one of the day')] public ?string $revision,
        #[OA\Property(description: 'the nearest level on which it stands')] public int $level,
        #[OA\Property] public string $quantity,
        #[OA\Property(description: 'quantity times standard cost')] public ?string $cost,
    ) {}
}
