<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** What the edits of an order mean, kept in sight while they are made. */
#[OA\Schema]
final readonly class Consequences
{
    /**
     * @param  list<string>  $items_above  numbers of everything above what is revised
     * @param  list<ProductCost>  $products  end products and their difference in cost
     * @param  list<BuiltProductCost>  $built  end products as plants build them, in minutes and money
     * @param  list<string>  $without_cost  components whose cost is not known, so that it is not in the difference
     * @param  list<string>  $affected  numbers whose stock and open documents are at stake
     * @param  list<string>  $coming  numbers of components that come in: planning has to know them
     * @param  list<Collision>  $collisions
     * @param  list<CheckRow>  $checks  for the next step
     */
    public function __construct(
        #[OA\Property] public int $lines,
        #[ListOf('string')] public array $items_above,
        #[ListOf(ProductCost::class)] public array $products,
        #[ListOf(BuiltProductCost::class)] public array $built,
        #[ListOf('string')] public array $without_cost,
        #[OA\Property] public string $currency,
        #[
            OA\Property(
                description: 'the day on which costs are compared: the effective day, or later where a changed line begins or ends later',
            ),
        ]
        public string $cost_day,
        #[ListOf('string')] public array $affected,
        #[ListOf('string')] public array $coming,
        #[ListOf(Collision::class)] public array $collisions,
        #[ListOf(CheckRow::class)] public array $checks,
    ) {}
}
