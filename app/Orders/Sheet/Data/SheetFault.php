<?php

declare(strict_types=1);

namespace App\Orders\Sheet\Data;

use OpenApi\Attributes as OA;

/** A cell that cannot be so. */
#[OA\Schema]
final readonly class SheetFault
{
    public function __construct(
        #[OA\Property(description: 'as a spreadsheet counts; 0: a line that the sheet takes out')] public int $row,
        #[OA\Property] public string $column,
        #[OA\Property] public string $reason,
    ) {}
}
