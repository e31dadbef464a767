<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\Money;

/** So much of a receipt that is cancelled, and what that costs. */
final readonly class Cancelled
{
    /** @param  int  $quantity  millionths */
    public function __construct(public Receipt $receipt, public int $quantity, public Money $fee) {}
}
