<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Revision\Sequence;
use Orthotaxis\Core\Structure\Structure;

/** One item on an order, with what is needed to judge it. */
final readonly class OrderItem
{
    /**
     * @param  ?string  $baseRevision  the released revision the edits start from; null when the item has none yet
     * @param  ?string  $latestRevision  the newest released revision there is now
     * @param  list<string>  $unreleased  components of the after-structure that have no revision in force on the effective day (while
     *     none is said: no released one)
     * @param  list<string>  $brokenEdits  why the edits no longer fit the base, if they do not
     * @param  list<string>  $files  what was brought for the coming revision: role, name and SHA-256 of each file
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
        public array $files = [],
        public Sequence $sequence = Sequence::Letters,
    ) {}

    /** @param  array<self>  $items */
    public static function numbers(array $items): string
    {
        return implode(', ', array_map(static fn(self $item): string => $item->number, $items));
    }

    /** The code of the coming revision; null when the item stays as it is. */
    public function becomes(): ?string
    {
        return $this->outcome === Outcome::Revise ? $this->sequence->next($this->baseRevision) : null;
    }

    /** Nothing of it exists yet: there is nothing to supersede and no stock to decide on. */
    public function isFirstRelease(): bool
    {
        return $this->outcome === Outcome::Revise && $this->baseRevision === null;
    }

    /** Whether there can be any of it: what was never released was never bought or built. */
    public function mayExist(): bool
    {
        return $this->baseRevision !== null || $this->latestRevision !== null;
    }

    /** A first release may be of a part that has no lines. */
    public function isEdited(): bool
    {
        return $this->isFirstRelease() || $this->files !== [] || $this->comparison()->changes() !== [];
    }

    public function comparison(): Comparison
    {
        return Comparison::of($this->before, $this->after);
    }
}
