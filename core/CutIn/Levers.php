<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\Money;

/** What people may turn to see what it does to the best day. */
final readonly class Levers
{
    public Money $perStraddle;

    /**
     * @param  array<string, int>  $keep  millionths of an old part to keep for service, by number: nothing else uses it, and it is
     *     nothing to be rid of
     * @param  list<string>  $notCancelled  documents of receipts that are let come
     * @param  int  $approvalDays  until the change can be released
     * @param  int  $toolingDay  from today: when tools and programs are ready
     * @param  ?Money  $perStraddle  what it costs to see to one work order that straddles the day
     * @param  ?int  $prescribed  a day that somebody prescribes, from today
     */
    public function __construct(
        public array $keep = [],
        public array $notCancelled = [],
        public int $approvalDays = 0,
        public int $toolingDay = 0,
        ?Money $perStraddle = null,
        public ?int $prescribed = null,
    ) {
        $this->perStraddle = $perStraddle ?? Money::zero();
    }
}
