<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

/** What wants some of a part on a day: an order that is placed, one that will have to be, or a sale of the part itself. */
final readonly class Peg
{
    /**
     * @param  Claim  $claim  until the cut-in, from it on, or anyway
     * @param  int  $position  of what is made of it; of the part itself when that is sold
     * @param  int  $day  from today
     * @param  int  $quantity  millionths of the part
     * @param  string  $document  empty for an order that is not placed yet
     */
    public function __construct(
        public Claim $claim,
        public int $position,
        public int $day,
        public int $quantity,
        public string $document,
    ) {}
}
