<?php

declare(strict_types=1);

namespace App\Verification\Data;

use OpenApi\Attributes as OA;

/** What a field reads in planning and here; empty: nothing. */
#[OA\Schema]
final readonly class DifferingField
{
    public function __construct(
        #[OA\Property(description: 'by the names that hand-overs have')] public string $field,
        #[OA\Property] public string $there,
        #[OA\Property] public string $here,
    ) {}
}
