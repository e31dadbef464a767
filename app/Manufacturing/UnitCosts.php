<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Manufacturing\Models\WorkCentre;
use App\Structures\ItemCosts;
use App\Structures\Models\Item;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Manufacturing\ManufacturingContent;
use Orthotaxis\Core\Manufacturing\MaterialCost;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Routing\RoutingCost;

/** What a plant needs to know to cost what it builds: the rates of its work centres, and what components cost. */
final readonly class UnitCosts
{
    /**
     * Asked three times, for all of them.
     *
     * @param  list<ManufacturingContent>  $contents  as they hold on the day
     * @return list<array{MaterialCost, RoutingCost}> in the same order
     */
    public function of(string $plant, Day $day, array $contents): array
    {
        $rates = WorkCentre::query()
            ->where('plant', $plant)
            ->pluck('rate', 'code')
            ->map(static fn(int $rate): Money => Money::ofTenThousandths($rate))
            ->all();
        $numbers = array_merge(...array_map(static fn(ManufacturingContent $one): array => $one->structure->components(), $contents));
        $costs = ItemCosts::on($day, Item::query()->whereIn('number', array_unique($numbers))->get()->toBase());

        return array_map(
            static fn(ManufacturingContent $one): array => [
                MaterialCost::of($one->structure, $costs),
                RoutingCost::of($one->routing, $rates),
            ],
            $contents,
        );
    }
}
