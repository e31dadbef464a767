<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\Money;

/** How a day would turn out, over many samples of what is uncertain. */
final readonly class Chance
{
    /**
     * @param  int  $short  samples of a thousand in which a part is missing
     * @param  Money  $leftMedian  what is left over, in half of the samples at most
     * @param  Money  $leftMost  the same in nine of ten
     * @param  Money  $shortMost  what is missing or hurried costs, in nine of ten at most
     */
    public function __construct(
        public int $day,
        public int $short,
        public Money $leftMedian,
        public Money $leftMost,
        public Money $shortMost,
    ) {}
}
