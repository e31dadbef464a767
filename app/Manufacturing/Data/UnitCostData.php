<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Manufacturing\MaterialCost;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Routing\RoutingCost;

/** What it takes and costs a plant to make one unit: components, and what the routing takes. */
#[OA\Schema]
final readonly class UnitCostData
{
    /** @param  list<string>  $missing  what is not known, in words */
    private function __construct(
        #[OA\Property(description: 'components, with what is lost')] public string $material,
        #[OA\Property(description: 'minutes of set-up, shared by the batch')] public string $set_up,
        #[OA\Property(description: 'minutes')] public string $run,
        #[OA\Property] public string $labour,
        #[OA\Property] public string $set_up_cost,
        #[OA\Property] public string $subcontract,
        #[OA\Property] public string $total,
        #[ListOf('string')] public array $missing,
    ) {}

    public static function of(MaterialCost $material, RoutingCost $routing): self
    {
        $without = $material->missing === [] ? [] : [implode(', ', $material->missing) . ': no standard cost.'];

        return new self(
            material: (string) $material->total,
            set_up: (string) $routing->setUp,
            run: (string) $routing->run,
            labour: (string) $routing->labour(),
            set_up_cost: (string) $routing->setUpCost(),
            subcontract: (string) $routing->subcontract(),
            total: (string) self::total($material, $routing),
            missing: [...$without, ...$routing->missing()],
        );
    }

    public static function total(MaterialCost $material, RoutingCost $routing): Money
    {
        return $material->total->plus($routing->total());
    }
}
