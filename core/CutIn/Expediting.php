<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\Money;

/** A new order of the new part hurried along: it arrives some days sooner, for a fee that is paid once and only where it is needed. */
final readonly class Expediting
{
    /** @param  int  $days  sooner than its lead time; more than that means at once */
    public function __construct(public int $days, public Money $fee) {}
}
