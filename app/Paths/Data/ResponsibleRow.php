<?php

declare(strict_types=1);

namespace App\Paths\Data;

use OpenApi\Attributes as OA;

/** A category with the owner of its items, or a plant with its planner. */
#[OA\Schema]
final readonly class ResponsibleRow
{
    public function __construct(
        #[OA\Property(enum: ['category', 'plant'])] public string $field,
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'a sign-in name, or group: and a code; empty: nobody')] public string $who,
    ) {}
}
