<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\CutIn\CostPart;

/** What one order, or the stock there is, adds to a part of the cost of a day. */
#[OA\Schema]
final readonly class CutInRow
{
    public function __construct(
        #[OA\Property(enum: CostPart::class)] public string $part,
        #[OA\Property] public string $plant,
        #[
            OA\Property(enum: ['stock', 'receipt', 'lot', 'order', 'planned', 'sale', 'hurried', 'missing', 'fee', 'under_way', 'rest']),
        ]
        public string $what,
        #[OA\Property] public string $document,
        #[OA\Property(description: 'the part that goes or comes; empty for what belongs to all')] public string $of,
        #[OA\Property(description: 'what is made of the part, where something is')] public string $item,
        #[OA\Property(description: 'of what is made of it')] public string $title,
        #[OA\Property] public ?string $on,
        #[OA\Property(description: 'of the part')] public string $quantity,
        #[OA\Property] public string $unit,
        #[OA\Property] public string $amount,
    ) {}
}
