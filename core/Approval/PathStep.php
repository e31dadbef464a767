<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Approval;

/** People of whom some must sign. */
final readonly class PathStep
{
    /**
     * @param  list<int>  $people  ids
     * @param  int  $needed  how many of them, each counted once
     */
    public function __construct(public array $people, public int $needed) {}

    /** @param  list<int>  $signed  ids of people who have signed */
    public function lacks(array $signed): int
    {
        return max(0, $this->needed - count(array_intersect(array_unique($this->people), $signed)));
    }
}
