<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** What one of an item costs and takes through all levels, as a plant builds it. */
#[OA\Schema]
final readonly class BuiltCostPage
{
    /**
     * @param  list<string>  $chain  numbers from the item down the longest chain of lead times
     * @param  list<BuiltCostRow>  $rows  what is made, nearest level first
     * @param  list<string>  $missing  what is not known, in words; none of it counts as nothing
     */
    public function __construct(
        #[OA\Property] public string $item,
        #[OA\Property] public string $on,
        #[OA\Property] public string $currency,
        #[OA\Property(description: 'what is bought for it, with what is lost')] public string $material,
        #[OA\Property] public string $labour,
        #[OA\Property(description: 'at the batches of the routings')] public string $set_up,
        #[OA\Property] public string $subcontract,
        #[OA\Property(description: 'what they are worth: nothing or less, as it is taken off')] public string $by_products,
        #[OA\Property] public string $total,
        #[OA\Property(description: 'minutes')] public string $run_minutes,
        #[OA\Property(description: 'minutes')] public string $set_up_minutes,
        #[OA\Property(description: 'working days, along the longest chain')] public int $lead_time_days,
        #[ListOf('string')] public array $chain,
        #[ListOf(BuiltCostRow::class)] public array $rows,
        #[ListOf('string')] public array $missing,
    ) {}
}
