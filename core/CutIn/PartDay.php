<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

/** What a cut-in on one day means for one part: quantities in millionths, amounts in ten-thousandths. */
final readonly class PartDay
{
    /**
     * @param  int  $left  that nobody wants
     * @param  int  $fees  for receipts that are cancelled
     * @param  int  $touched  receipts that are cancelled, or that come although nobody wants them
     * @param  int  $hurried  that is had sooner than in the lead time, and costs more
     * @param  int  $missing  that cannot be had on the day it is wanted
     * @param  bool  $isSustained  whether nothing is missing from the day on of a part that the change wants more of
     * @param  int  $atRisk  that is ordered before the change is released
     * @param  int  $recurring  what is used from the day on, less what would have been
     */
    public function __construct(
        public int $left,
        public int $fees,
        public int $touched,
        public int $hurried,
        public int $missing,
        public bool $isSustained,
        public int $atRisk,
        public int $recurring,
    ) {}
}
