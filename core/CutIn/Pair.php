<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\Quantity;

/** An old part and the new one in its place. Pairs of one case cut in together: a matched set. */
final readonly class Pair
{
    /**
     * @param  list<int>  $demand  millionths of the old part wanted on each day, from today
     * @param  int  $ratio  millionths of the new part for one of the old
     * @param  ?Expediting  $expediting  of a new order of the new part, where somebody asks for it
     */
    public function __construct(
        public Part $old,
        public Part $new,
        public array $demand,
        public int $ratio = Quantity::ONE,
        public ?Expediting $expediting = null,
    ) {}
}
