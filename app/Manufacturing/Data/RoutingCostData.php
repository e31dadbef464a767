<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Routing\RoutingCost;

/** What it takes and costs to make one unit, by the routing. */
#[OA\Schema]
final readonly class RoutingCostData
{
    /** @param  list<string>  $missing  what is not known, in words */
    private function __construct(
        #[OA\Property(description: 'minutes of set-up, shared by the batch')] public string $set_up,
        #[OA\Property(description: 'minutes')] public string $run,
        #[OA\Property] public string $labour,
        #[OA\Property] public string $set_up_cost,
        #[OA\Property] public string $subcontract,
        #[OA\Property] public string $total,
        #[ListOf('string')] public array $missing,
    ) {}

    public static function of(RoutingCost $cost): self
    {
        return new self(
            set_up: (string) $cost->setUp,
            run: (string) $cost->run,
            labour: (string) $cost->labour(),
            set_up_cost: (string) $cost->setUpCost(),
            subcontract: (string) $cost->subcontract(),
            total: (string) $cost->total(),
            missing: $cost->missing(),
        );
    }
}
