<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Adjacency;

/**
 * Where the lists of an adjacency come from, a block of positions at a time.
 *
 * A list is flat: the first day on which all of its lines hold, the day on which the first of them ends, then three
 * integers a line: position, quantity in millionths of the component's unit, span (see Span). A list with a phantom in it
 * has no day on which everything simply holds.
 */
interface Lists
{
    /**
     * What each item of a block is made of.
     *
     * @return array<int, list<int>> by position, ascending; items without lines are left out
     */
    public function down(int $block): array;

    /**
     * What each item of a block is used in.
     *
     * @return array<int, list<int>> by position, ascending; items that nothing uses are left out
     */
    public function up(int $block): array;
}
