<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\Money;

/** The old or the new part of a change, as planning knows it. */
final readonly class Part
{
    /**
     * @param  int  $stock  millionths
     * @param  list<Receipt>  $receipts
     * @param  Money  $cost  of one unit
     * @param  Money  $disposal  what it costs to be rid of one unit that is left over (less than nothing: what it brings)
     * @param  Money  $expedite  what one unit costs more when it is wanted before there is any
     * @param  int  $leadDays  until a new order of it arrives
     */
    public function __construct(
        public string $number,
        public int $stock,
        public array $receipts,
        public Money $cost,
        public Money $disposal,
        public Money $expedite,
        public int $leadDays = 0,
    ) {}
}
