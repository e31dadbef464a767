<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Quantity;

/** In what quantities a part is ordered, and how much of what is ordered is good. */
final readonly class Lot
{
    /**
     * @param  int  $minimum  millionths; 0: as little as is wanted
     * @param  int  $multiple  millionths; 0: any
     * @param  int  $yield  millionths of one ordered that are good
     */
    public function __construct(public int $minimum = 0, public int $multiple = 0, public int $yield = Quantity::ONE) {}

    /** @return int millionths to be ordered, so that as many good ones come as are lacking */
    public function ordered(int $lacking): int
    {
        $gross = $this->yield === Quantity::ONE ? $lacking : FixedPoint::scale($lacking, Quantity::ONE, $this->yield);
        $gross = max($gross, $this->minimum);
        $rest = $this->multiple === 0 ? 0 : $gross % $this->multiple;

        return $rest === 0 ? $gross : FixedPoint::add($gross - $rest, $this->multiple);
    }

    /** @return int millionths of good ones that come of an order for what is lacking */
    public function good(int $lacking): int
    {
        $ordered = $this->ordered($lacking);

        return $this->yield === Quantity::ONE ? $ordered : max($lacking, FixedPoint::scale($ordered, $this->yield, Quantity::ONE));
    }
}
