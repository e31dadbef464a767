<?php

declare(strict_types=1);

namespace App\Planning\Data;

use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class SupplyTotal
{
    public function __construct(
        #[OA\Property(enum: ['stock', 'purchase_order', 'work_order', 'sales_order'])] public string $kind,
        #[OA\Property] public int $rows,
        #[OA\Property] public string $quantity,
        #[OA\Property] public string $unit,
        #[OA\Property] public string $value,
    ) {}
}
