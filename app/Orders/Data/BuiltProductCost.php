<?php

declare(strict_types=1);

namespace App\Orders\Data;

use OpenApi\Attributes as OA;

/** What an end product takes and costs more as one plant builds it. */
#[OA\Schema]
final readonly class BuiltProductCost
{
    public function __construct(
        #[OA\Property] public string $product,
        #[OA\Property] public string $title,
        #[OA\Property] public string $plant,
        #[OA\Property(description: 'minutes, run and set-up')] public string $minutes,
        #[OA\Property(description: 'material, labour, set-up and subcontract')] public string $difference,
    ) {}
}
