<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** How two plants, two revisions or two days make an item: operations, minutes and money of one unit. */
#[OA\Schema]
final readonly class RoutingComparisonPage
{
    /** @param  list<OperationRow>  $operations  what is the same as well, by number */
    public function __construct(
        #[OA\Property] public RoutingSide $before,
        #[OA\Property] public RoutingSide $after,
        #[ListOf(OperationRow::class)] public array $operations,
        #[OA\Property(description: 'of the totals of a unit')] public string $difference,
    ) {}
}
