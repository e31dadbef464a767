<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use OpenApi\Attributes as OA;

/** A part that comes, and how much of it. */
#[OA\Schema]
final readonly class CutInSwapPart
{
    public function __construct(
        #[OA\Property(description: 'number')] public string $item,
        #[
            OA\Property(description: 'for one of the first that goes; where nothing goes, in one parent; null: nobody says it yet'),
        ]
        public ?string $ratio,
    ) {}
}
