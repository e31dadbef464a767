<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Comparison;

use Orthotaxis\Core\Structure\Line;

/**
 * One side of a comparison through all levels. Items are named by numbers that mean something to the side only; that two
 * lines say the same is known by their digests, and only lines that differ are ever read.
 */
interface Side
{
    /** The lines of an item on the day of this side. */
    public function lines(int $item): LineSet;

    /**
     * @param  list<int>  $lines
     * @return array<int, Line> by line
     */
    public function read(array $lines): array;

    /** Whether equal lines lead to equal structures below them on the other side too: same kind, same day. */
    public function agreesBelow(self $other): bool;

    /** Whether there is nothing to compare between an item here and one there, down to the last line. */
    public function isSame(int $item, self $other, int $otherItem): bool;
}
