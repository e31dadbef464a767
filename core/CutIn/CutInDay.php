<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\Money;

use function is_int;

/** What it means to cut in on one day. The parts add up to the total, exactly. */
final readonly class CutInDay
{
    public Money $total;

    /**
     * @param  Money  $leftover  being rid of what is left of the old parts
     * @param  Money  $cancellation  of receipts that come too late
     * @param  Money  $shortage  old parts that run short before, new ones that are not there after or are expedited
     * @param  Money  $straddling  work orders under way on that day
     * @param  Money  $recurring  what the new parts cost more, from that day to the end of the time looked at; less than nothing for a
     *     saving
     * @param  int  $disturbed  open orders that have to be touched: straddling, cancelled, or coming although nobody wants them
     */
    public function __construct(
        public int $day,
        public Money $leftover,
        public Money $cancellation,
        public Money $shortage,
        public Money $straddling,
        public Money $recurring,
        public int $disturbed,
    ) {
        $total =
            $leftover->tenThousandths +
            $cancellation->tenThousandths +
            $shortage->tenThousandths +
            $straddling->tenThousandths +
            $recurring->tenThousandths;
        // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
        $this->total = is_int($total)
            ? Money::ofTenThousandths($total)
            : throw new \OverflowException('What a day costs becomes too large here to be kept exactly.');
    }
}
