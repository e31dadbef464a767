<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

/** What a cut-in on each of some days means for one part: lists by day, as of PartDay. A plan goes through all of them with each lever. */
final readonly class PartDays
{
    /**
     * @param  array<int, int>  $left
     * @param  array<int, int>  $fees
     * @param  array<int, int>  $touched
     * @param  array<int, int>  $hurried
     * @param  array<int, int>  $missing
     * @param  array<int, bool>  $isSustained
     * @param  array<int, int>  $atRisk
     * @param  array<int, int>  $recurring
     */
    public function __construct(
        public array $left,
        public array $fees,
        public array $touched,
        public array $hurried,
        public array $missing,
        public array $isSustained,
        public array $atRisk,
        public array $recurring,
    ) {}

    public function on(int $day): PartDay
    {
        return new PartDay(
            left: $this->left[$day],
            fees: $this->fees[$day],
            touched: $this->touched[$day],
            hurried: $this->hurried[$day],
            missing: $this->missing[$day],
            isSustained: $this->isSustained[$day],
            atRisk: $this->atRisk[$day],
            recurring: $this->recurring[$day],
        );
    }
}
