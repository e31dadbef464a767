<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Structure;

use Orthotaxis\Core\Quantity\Quantity;

/** One item above another. */
final readonly class UsedIn
{
    /**
     * @param  int  $level  1 for a direct parent; the shortest way counts
     * @param  Quantity  $quantity  how much goes into one of the parent, over all ways
     * @param  array<int, Quantity>  $through  the parent's own components on the way, and how much of each it takes
     * @param  bool  $top  nothing uses it
     */
    public function __construct(
        public int $parent,
        public int $level,
        public Quantity $quantity,
        public array $through,
        public bool $top,
    ) {}
}
