<?php

declare(strict_types=1);

namespace App\Economics\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\Disposition;

/** What becomes of one kind of supply of one item. */
#[OA\Schema]
final readonly class DispositionRow
{
    public function __construct(
        #[OA\Property] public string $item,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $quantity,
        #[OA\Property] public string $unit,
        #[OA\Property] public string $value,
        #[OA\Property(enum: Disposition::class)] public string $disposition,
        #[OA\Property] public string $per_unit,
        #[OA\Property] public string $cost,
        #[OA\Property(enum: ['usual', 'category', 'said'], description: 'where the disposition comes from')] public string $from,
        #[OA\Property(ref: FigureSource::class, nullable: true)] public ?FigureSource $said,
    ) {}
}
