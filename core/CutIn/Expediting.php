<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\Money;

/** How a part can be had sooner than in its lead time: by so many days, so much of it, at a price. */
final readonly class Expediting
{
    /**
     * @param  int  $days  working days sooner than its lead time; more than that means at once
     * @param  Money  $fee  paid once, and only where any is hurried
     * @param  Money  $premium  what one costs more
     * @param  ?int  $most  millionths that can be had so; null: as much as is wanted
     */
    public function __construct(public int $days, public Money $fee, public Money $premium, public ?int $most = null) {}
}
