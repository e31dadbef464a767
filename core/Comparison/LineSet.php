<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Comparison;

/** The lines of one parent as columns of integers, so that they are matched without being read. */
final readonly class LineSet
{
    /**
     * @param  list<int>  $ids  what a Side reads a line by
     * @param  list<int>  $identities
     * @param  list<int>  $digests  of all that a line says
     * @param  list<int>  $components  as the Side names items
     */
    public function __construct(public array $ids, public array $identities, public array $digests, public array $components) {}

    public function with(int $id, int $identity, int $digest, int $component): self
    {
        return new self(
            [...$this->ids, $id],
            [...$this->identities, $identity],
            [...$this->digests, $digest],
            [...$this->components, $component],
        );
    }
}
