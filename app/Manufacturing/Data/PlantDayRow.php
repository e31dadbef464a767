<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use OpenApi\Attributes as OA;

/** A day on which a plant does otherwise than on that day of other weeks. */
#[OA\Schema(required: ['day', 'works', 'name'])]
final readonly class PlantDayRow
{
    public function __construct(
        #[OA\Property] public string $day,
        #[OA\Property(description: 'false: closed')] public bool $works,
        #[OA\Property] public string $name,
    ) {}
}
