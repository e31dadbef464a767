<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use OpenApi\Attributes as OA;

/** What is done to one item that is made, so often as it goes in. */
#[OA\Schema]
final readonly class BuiltCostRow
{
    public function __construct(
        #[OA\Property] public string $item,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'where it is made')] public string $plant,
        #[OA\Property] public string $revision,
        #[OA\Property(description: 'so much of it is in one')] public string $quantity,
        #[OA\Property] public string $unit,
        #[OA\Property(description: 'minutes')] public string $set_up_minutes,
        #[OA\Property(description: 'minutes')] public string $run_minutes,
        #[OA\Property] public string $labour,
        #[OA\Property] public string $set_up,
        #[OA\Property] public string $subcontract,
        #[OA\Property(description: 'what they are worth: nothing or less, as it is taken off')] public string $by_products,
        #[OA\Property] public string $total,
        #[OA\Property(description: 'working days of a batch')] public int $lead_time_days,
    ) {}
}
