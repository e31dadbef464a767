<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use OpenApi\Attributes as OA;

/** Something that the plan takes for granted, and where it comes from. */
#[OA\Schema]
final readonly class CutInAssumption
{
    public function __construct(
        #[OA\Property(description: 'with which somebody says otherwise, where there is one')] public ?string $lever,
        #[OA\Property] public string $what,
        #[OA\Property(description: 'number of the part it is of; empty: of all')] public string $item,
        #[OA\Property(description: 'empty: at all')] public string $plant,
        #[OA\Property(description: 'empty: nobody knows')] public string $value,
        #[OA\Property(description: 'working days, %, the unit of the item, or the currency')] public string $unit,
        #[OA\Property(enum: ['planning', 'item', 'plant', 'rule', 'person'])] public string $from,
        #[OA\Property(description: 'why somebody says otherwise')] public string $reason,
    ) {}
}
