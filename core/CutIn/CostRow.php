<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\Money;

/** What one order, or the stock there is, adds to a part of the cost of a day at a plant. */
final readonly class CostRow
{
    /**
     * @param  ?int  $of  place of the part in its case; null for what belongs to all
     * @param  CostCause  $cause  where it comes from
     * @param  string  $document  empty for stock, and for orders that are not placed yet
     * @param  ?int  $position  of what is made of the part; null where nothing is
     * @param  ?int  $day  from today
     * @param  int  $quantity  millionths; less than nothing for what is not used any more
     */
    public function __construct(
        public CostPart $part,
        public ?int $of,
        public CostCause $cause,
        public string $document,
        public ?int $position,
        public ?int $day,
        public int $quantity,
        public Money $amount,
    ) {}
}
