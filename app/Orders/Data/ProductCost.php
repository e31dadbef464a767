<?php

declare(strict_types=1);

namespace App\Orders\Data;

use OpenApi\Attributes as OA;

/** What one end product costs more (or less, with a minus) after the order. */
#[OA\Schema]
final readonly class ProductCost
{
    public function __construct(
        #[OA\Property] public string $product,
        #[OA\Property] public string $title,
        #[OA\Property] public string $difference,
    ) {}
}
