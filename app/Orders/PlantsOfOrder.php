<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Models\ChangeOrder;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\PlantState;

/** Which plants build what is on an order, and what they have not taken over of it: known on a floor above. */
interface PlantsOfOrder
{
    /** @return list<PlantState> by item and plant, asked a fixed number of times */
    public function states(ChangeOrder $order, Order $core): array;
}
