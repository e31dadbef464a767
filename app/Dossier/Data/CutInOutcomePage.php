<?php

declare(strict_types=1);

namespace App\Dossier\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** The cut-ins of a year, planned and as they became. */
#[OA\Schema]
final readonly class CutInOutcomePage
{
    /**
     * @param  list<int>  $years  that have any, the last first
     * @param  list<OrderOutcome>  $orders
     */
    public function __construct(
        #[OA\Property] public string $currency,
        #[OA\Property] public int $year,
        #[ListOf('integer')] public array $years,
        #[ListOf(OrderOutcome::class)] public array $orders,
        #[OA\Property(description: 'of those of which it is known what became of them')] public string $planned,
        #[OA\Property] public string $became,
        #[OA\Property(description: 'more than planned; less than nothing: less')] public string $difference,
        #[OA\Property(description: 'plants and parts of which it is not known yet')] public int $ahead,
    ) {}
}
