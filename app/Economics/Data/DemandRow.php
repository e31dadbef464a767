<?php

declare(strict_types=1);

namespace App\Economics\Data;

use OpenApi\Attributes as OA;

/** How many of a product are wanted in a year, and how many units of which affected item that takes. */
#[OA\Schema]
final readonly class DemandRow
{
    public function __construct(
        #[OA\Property] public string $product,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'of a year, from sales orders and forecast, unless somebody says otherwise')] public string $units,
        #[OA\Property(description: 'what planning tells')] public string $told,
        #[OA\Property(ref: FigureSource::class, nullable: true)] public ?FigureSource $said,
    ) {}
}
