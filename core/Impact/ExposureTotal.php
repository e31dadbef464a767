<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Impact;

use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;

final readonly class ExposureTotal
{
    public function __construct(public int $rows, public Quantity $quantity, public Unit $unit, public Money $value) {}
}
