<?php

declare(strict_types=1);

namespace App\Orders\Sheet\Data;

use OpenApi\Attributes as OA;

/** What the sheet and somebody else have made different of. */
#[OA\Schema]
final readonly class SheetConflict
{
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property(description: 'the item and the line, as people call them')] public string $part,
        #[OA\Property(description: 'empty: all of it')] public string $field,
        #[OA\Property] public string $before,
        #[OA\Property(description: 'the sheet')] public string $mine,
        #[OA\Property] public string $theirs,
    ) {}
}
