<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use OpenApi\Attributes as OA;

/** One side of a comparison of routings. */
#[OA\Schema]
final readonly class RoutingSide
{
    public function __construct(
        #[OA\Property(description: 'empty: no plant builds it then')] public string $plant,
        #[OA\Property(description: 'the revision of what the plant builds; null: none')] public ?string $built,
        #[OA\Property(description: 'how many are made at once')] public string $batch,
        #[OA\Property] public UnitCostData $cost,
    ) {}
}
