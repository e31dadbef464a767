<?php

declare(strict_types=1);

namespace App\Planning\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Impact\SupplyKind;

#[OA\Schema]
final readonly class SupplyTotal
{
    public function __construct(
        #[OA\Property(enum: SupplyKind::class)] public string $kind,
        #[OA\Property] public int $rows,
        #[OA\Property] public string $quantity,
        #[OA\Property] public string $unit,
        #[OA\Property] public string $value,
    ) {}
}
