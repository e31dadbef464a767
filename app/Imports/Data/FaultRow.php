<?php

declare(strict_types=1);

namespace App\Imports\Data;

use OpenApi\Attributes as OA;

/** A cell that is wrong, and why. */
#[OA\Schema]
final readonly class FaultRow
{
    public function __construct(
        #[OA\Property(description: 'as a spreadsheet counts; 0 for the file as a whole')] public int $row,
        #[OA\Property] public string $column,
        #[OA\Property] public string $reason,
    ) {}
}
