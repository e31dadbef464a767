<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Models\ChangeOrder;
use Orthotaxis\Core\Change\Order;

/** What an order makes of the work of plants: known on a floor above. */
interface WorkOfPlants
{
    /**
     * Asked a fixed number of times for each plant.
     *
     * @return list<UnitChange> by item and plant, of those that the order changes
     */
    public function changes(ChangeOrder $order, Order $core): array;
}
