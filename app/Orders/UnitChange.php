<?php

declare(strict_types=1);

namespace App\Orders;

use Orthotaxis\Core\Quantity\Money;

/** What one unit takes and costs more at a plant, as that builds it. */
final readonly class UnitChange
{
    /**
     * @param  int  $item  its id
     * @param  int  $minutes  thousandths, run and its share of the set-up; below zero: less
     * @param  Money  $cost  material as the plant consumes it, labour, set-up and subcontract
     */
    public function __construct(public int $item, public string $plant, public int $minutes, public Money $cost) {}
}
