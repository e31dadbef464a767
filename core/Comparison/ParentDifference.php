<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Comparison;

/** What differs in the lines of one parent. */
final readonly class ParentDifference
{
    /**
     * @param  int  $before  the parent, as the left side names it
     * @param  int  $after  the parent, as the right side names it
     * @param  list<array{int, int}>  $way  the parents above it on both sides, from the top
     * @param  list<Difference>  $differences  in the order of find numbers
     */
    public function __construct(public int $before, public int $after, public array $way, public array $differences) {}
}
