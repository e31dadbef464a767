<?php

declare(strict_types=1);

namespace App\Orders\Paths;

use App\Orders\Models\ChangeOrder;
use Orthotaxis\Core\Change\Order;

/** What is so of an order, by fact, on which the steps of its path depend. */
interface FactsOfOrder
{
    /** @return array<string, list<string>> as core's Facts take them */
    public function of(ChangeOrder $order, Order $core): array;
}
