<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\Money;

/** What people may turn to see what it does to the best day. */
final readonly class Levers
{
    public Money $perStraddle;

    /**
     * @param  list<string>  $notCancelled  documents of receipts that are let come
     * @param  int  $approvalDays  working days until the change can be released
     * @param  int  $toolingDay  from today: when tools and programs are ready
     * @param  bool  $atRisk  whether new parts are ordered today, before the change is released
     * @param  bool  $lateFromStock  whether what is late takes of the stock before anything else
     * @param  ?bool  $countsRecurring  whether what the change costs more from the day on counts for the best day; null: where it saves
     * @param  ?Money  $perStraddle  what it costs to see to one work order that straddles the day
     * @param  ?int  $prescribed  a day that somebody prescribes, from today
     */
    public function __construct(
        public array $notCancelled = [],
        public int $approvalDays = 0,
        public int $toolingDay = 0,
        public bool $atRisk = false,
        public bool $lateFromStock = false,
        public ?bool $countsRecurring = null,
        ?Money $perStraddle = null,
        public ?int $prescribed = null,
    ) {
        $this->perStraddle = $perStraddle ?? Money::zero();
    }

    /** The same with something else; what is not named stays. */
    public function with(?int $approvalDays = null, ?int $toolingDay = null, ?Money $perStraddle = null): self
    {
        return new self(
            notCancelled: $this->notCancelled,
            approvalDays: $approvalDays ?? $this->approvalDays,
            toolingDay: $toolingDay ?? $this->toolingDay,
            atRisk: $this->atRisk,
            lateFromStock: $this->lateFromStock,
            countsRecurring: $this->countsRecurring,
            perStraddle: $perStraddle ?? $this->perStraddle,
            prescribed: $this->prescribed,
        );
    }
}
