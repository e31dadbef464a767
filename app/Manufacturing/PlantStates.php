<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Orders\Models\ChangeOrder;
use App\Orders\PlantsOfOrder;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\PlantState;
use Orthotaxis\Core\Manufacturing\Accountability;

/** How much of what an order makes is open at each plant that builds it. */
final readonly class PlantStates implements PlantsOfOrder
{
    public function __construct(private BuildsOfOrder $ordered, private PlantStructures $plants) {}

    public function states(ChangeOrder $order, Order $core): array
    {
        $built = $this->ordered->changed($order, $core);

        return array_map(
            static fn(BuiltAt $one, Accountability $of): PlantState => new PlantState($one->item->number, $one->plant, count($of->open())),
            $built,
            $this->plants->account($built, BuildsOfOrder::day($order)),
        );
    }
}
