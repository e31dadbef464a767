<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\Money;

/** What one order, or the stock there is, adds to a part of the cost of a day. */
final readonly class CostRow
{
    /**
     * @param  int  $pair  place of the pair it belongs to; -1 for what belongs to all
     * @param  bool  $isNew  whether the new part is meant
     * @param  string  $document  empty for stock, and for orders that are not placed yet
     * @param  ?int  $position  of what is made of the part; null where nothing is, as for expediting
     * @param  ?int  $day  from today
     * @param  int  $quantity  millionths
     */
    public function __construct(
        public CostPart $part,
        public int $pair,
        public bool $isNew,
        public string $document,
        public ?int $position,
        public ?int $day,
        public int $quantity,
        public Money $amount,
    ) {}
}
