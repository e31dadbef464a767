<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\Money;

/** What will come of a part: an order with its supplier, or one of our own. */
final readonly class Receipt
{
    /**
     * @param  int  $day  from today
     * @param  int  $quantity  millionths
     * @param  ?Money  $cancelFee  what it costs to cancel it; null where it cannot be cancelled any more
     */
    public function __construct(public string $document, public int $day, public int $quantity, public ?Money $cancelFee) {}
}
