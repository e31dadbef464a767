<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Manufacturing\Data\UnitCostData;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\Orders\UnitChange;
use App\Orders\WorkOfPlants;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Routing\RoutingCost;

/** What one unit of each item takes and costs more at each plant, by what an order changes there. */
final readonly class PlantWork implements WorkOfPlants
{
    public function __construct(private UnitCosts $costs) {}

    public function changes(ChangeOrder $order, Order $core): array
    {
        $day = BuildsOfOrder::day($order);
        $ids = $order->items->mapWithKeys(static fn(OrderItem $row): array => [$row->item->number => $row->item_id])->all();
        $byPlant = [];
        foreach ($core->works() as $work) {
            if ($work->subject->kind === ManufacturingContents::NAME) {
                $byPlant[$work->subject->plant][] = $work;
            }
        }
        $minutes = static fn(RoutingCost $cost): int => $cost->run->plus($cost->setUp)->thousandths;
        $changes = [];
        foreach ($byPlant as $plant => $works) {
            $sides = array_merge(...array_map(static fn(Work $work): array => [$work->before, $work->after], $works));
            $costs = $this->costs->of(
                (string) $plant,
                $day,
                array_map(static fn($side) => ManufacturingContents::built($side)->on($day), $sides),
            );
            foreach ($works as $at => $work) {
                [$before, $after] = [$costs[2 * $at], $costs[2 * $at + 1]];
                $changes[] = new UnitChange(
                    $ids[$work->subject->item],
                    (string) $plant,
                    $minutes($after[1]) - $minutes($before[1]),
                    UnitCostData::total(...$after)->minus(UnitCostData::total(...$before)),
                );
            }
        }

        return $changes;
    }
}
