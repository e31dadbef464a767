<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Models\ChangeOrder;
use Orthotaxis\Core\Change\Order;

/** What an order makes of the work of plants: known on a floor above. */
interface WorkOfPlants
{
    /** @return list<UnitChange> by item and plant, of those that the order changes; asked a fixed number of times, and once for each plant */
    public function changes(ChangeOrder $order, Order $core): array;
}
