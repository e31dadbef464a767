<?php

declare(strict_types=1);

namespace App\Economics\Data;

use OpenApi\Attributes as OA;

/** Who said something in place of what is computed, and why. */
#[OA\Schema]
final readonly class FigureSource
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
        #[OA\Property] public string $reason,
    ) {}
}
