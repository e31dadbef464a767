<?php

declare(strict_types=1);

namespace App\Orders\Data;

use OpenApi\Attributes as OA;

/** Saved work on a coming revision. */
#[OA\Schema]
final readonly class IterationRow
{
    public function __construct(
        #[OA\Property] public int $number,
        #[OA\Property(description: 'what the revision was called then: C.2')] public string $name,
        #[OA\Property] public string $note,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
        #[OA\Property(description: 'how many edits held')] public int $edits,
    ) {}
}
