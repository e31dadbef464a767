<?php

declare(strict_types=1);

namespace App\Orders\Data;

use OpenApi\Attributes as OA;

/** Somebody else who edits the same order, or the same item under another one. */
#[OA\Schema]
final readonly class AtWorkRow
{
    public function __construct(
        #[OA\Property] public string $by,
        #[OA\Property] public string $order,
        #[OA\Property] public string $item,
        #[OA\Property(description: '"engineering", "manufacturing:Weir"')] public string $work,
        #[OA\Property(description: 'of their last edit, or undo')] public string $at,
    ) {}
}
