<?php

declare(strict_types=1);

namespace App\Structures\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** All that is in one item, summed up, and what that adds up to. */
#[OA\Schema]
final readonly class SummaryPage
{
    /**
     * @param  list<SummaryRow>  $rows
     * @param  list<string>  $without_cost  numbers of bought and bottom items whose cost is not known, the first of them
     * @param  list<string>  $without_mass
     * @param  list<string>  $without_lead_time
     * @param  list<string>  $longest_chain  numbers from the top down
     */
    public function __construct(
        #[OA\Property] public int $total,
        #[OA\Property] public int $lines,
        #[OA\Property] public int $from,
        #[OA\Property] public string $currency,
        #[OA\Property(description: 'standard cost of all that nothing is below')] public string $cost,
        #[OA\Property(description: 'kilograms')] public string $mass,
        #[OA\Property(description: 'days, along the longest chain')] public int $lead_time_days,
        #[ListOf('string')] public array $longest_chain,
        #[OA\Property] public int $missing_cost,
        #[OA\Property] public int $missing_mass,
        #[OA\Property] public int $missing_lead_time,
        #[ListOf('string')] public array $without_cost,
        #[ListOf('string')] public array $without_mass,
        #[ListOf('string')] public array $without_lead_time,
        #[ListOf(SummaryRow::class)] public array $rows,
    ) {}
}
