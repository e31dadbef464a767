<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\Money;

use function is_int;

/** What it means to cut in on one day. The parts that count add up to the total, exactly. */
final readonly class CutInDay
{
    public Money $total;

    /**
     * @param  bool  $isPossible  a working day, after the release and the tools, from which on nothing is missing
     * @param  Money  $leftover  being rid of what is left that nobody wants
     * @param  Money  $cancellation  of receipts that nobody wants
     * @param  Money  $shortage  what is hurried or missing, before the day and from it on
     * @param  Money  $straddling  started work orders that are under way on that day
     * @param  Money  $recurring  what the change costs more, from that day to the end of the time looked at; less than nothing for a
     *     saving
     * @param  bool  $countsRecurring  whether that is in the total
     * @param  int  $disturbed  open documents that have to be touched: straddling, cancelled, or coming although nobody wants them
     * @param  Money  $atRisk  what is ordered before the change is released: lost if it is refused, and not in the total
     */
    public function __construct(
        public int $day,
        public bool $isPossible,
        public Money $leftover,
        public Money $cancellation,
        public Money $shortage,
        public Money $straddling,
        public Money $recurring,
        public bool $countsRecurring,
        public int $disturbed,
        public Money $atRisk,
    ) {
        $total =
            $leftover->tenThousandths +
            $cancellation->tenThousandths +
            $shortage->tenThousandths +
            $straddling->tenThousandths +
            ($countsRecurring ? $recurring->tenThousandths : 0);
        // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
        $this->total = is_int($total)
            ? Money::ofTenThousandths($total)
            : throw new \OverflowException('What a day costs becomes too large here to be kept exactly.');
    }

    /** The same day at several plants together; possible where it is at each. */
    public function plus(self $other): self
    {
        return new self(
            day: $this->day,
            isPossible: $this->isPossible && $other->isPossible,
            leftover: $this->leftover->plus($other->leftover),
            cancellation: $this->cancellation->plus($other->cancellation),
            shortage: $this->shortage->plus($other->shortage),
            straddling: $this->straddling->plus($other->straddling),
            recurring: $this->recurring->plus($other->recurring),
            countsRecurring: $this->countsRecurring,
            disturbed: $this->disturbed + $other->disturbed,
            atRisk: $this->atRisk->plus($other->atRisk),
        );
    }
}
