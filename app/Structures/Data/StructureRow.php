<?php

declare(strict_types=1);

namespace App\Structures\Data;

use OpenApi\Attributes as OA;

/** A line and the item it names. */
#[OA\Schema]
final readonly class StructureRow
{
    public function __construct(
        #[OA\Property] public LineRow $line,
        #[OA\Property] public ItemRow $item,
        #[OA\Property(description: 'whether it has components of its own on that day')] public bool $opens,
    ) {}
}
