<?php

declare(strict_types=1);

namespace App\Reach\Data;

use OpenApi\Attributes as OA;

/** What was decided about one thing that a change would touch. */
#[OA\Schema]
final readonly class ReachDecision
{
    public function __construct(
        #[OA\Property(description: 'another one for every time it is decided on')] public int $id,
        #[OA\Property(description: 'whether it is taken in; else it is left out')] public bool $taken,
        #[OA\Property] public string $reason,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
    ) {}
}
