<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Change\Order;

/** A condition that only some orders have: of the others it is not told at all. */
interface OfSome extends Condition
{
    public function concerns(Order $order): bool;
}
