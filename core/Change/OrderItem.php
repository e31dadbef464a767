<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Structure\Structure;

/** One item on an order, with what is needed to judge it. */
final readonly class OrderItem
{
    /**
     * @param  ?string  $baseRevision  the released revision the edits start from
     * @param  ?string  $latestRevision  the newest released revision there is now
     * @param  list<string>  $unreleased  components of the after-structure that have no released revision
     * @param  list<string>  $brokenEdits  why the edits no longer fit the base, if they do not
     */
    public function __construct(
        public string $number,
        public Outcome $outcome,
        public ?Disposition $disposition,
        public ?string $baseRevision,
        public ?string $latestRevision,
        public ?Day $baseEffectiveFrom,
        public Structure $before,
        public Structure $after,
        public array $unreleased = [],
        public array $brokenEdits = [],
    ) {}

    public function comparison(): Comparison
    {
        return Comparison::of($this->before, $this->after);
    }
}
