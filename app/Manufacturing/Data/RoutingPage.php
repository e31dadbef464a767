<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** How a plant makes an item on a day: its operations, with what one unit takes and costs. */
#[OA\Schema]
final readonly class RoutingPage
{
    /**
     * @param  list<string>  $plants
     * @param  list<OperationData>  $operations
     */
    public function __construct(
        #[OA\Property] public string $item,
        #[OA\Property(description: 'null: no plant builds it on that day')] public ?string $plant,
        #[ListOf('string')] public array $plants,
        #[OA\Property(description: 'the revision of what the plant builds')] public ?string $built,
        #[OA\Property(description: 'how many are made at once')] public string $batch,
        #[ListOf(OperationData::class)] public array $operations,
        #[OA\Property] public UnitCostData $cost,
    ) {}
}
