<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Adjacency;

/** Something contains itself. Whoever knows the numbers of the items says it in words. */
final class Loop extends \RuntimeException
{
    /** @param  list<int>  $way  positions, from one round to the same again */
    public function __construct(public readonly array $way)
    {
        parent::__construct('An item of this structure is contained in itself.');
    }
}
