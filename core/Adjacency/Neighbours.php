<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Adjacency;

/** Who is made of what, and who is used in what, one item at a time: lists as Lists writes them. */
interface Neighbours
{
    /** @return list<int> */
    public function downOf(int $position): array;

    /** @return list<int> */
    public function upOf(int $position): array;
}
