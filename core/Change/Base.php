<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Revision\Sequence;

/** What work on the next revision of a subject starts from. */
final readonly class Base
{
    /**
     * @param  ?string  $revision  the released revision that the edits start from; null where there is none yet
     * @param  ?string  $newest  the newest released revision there is now
     * @param  ?Day  $from  the first day of the revision that the edits start from
     */
    public function __construct(
        public ?string $revision = null,
        public ?string $newest = null,
        public ?Day $from = null,
        public Sequence $sequence = Sequence::Letters,
    ) {}

    /** The code of the coming revision. */
    public function becomes(): string
    {
        return $this->sequence->next($this->revision);
    }

    public function hasMovedOn(): bool
    {
        return $this->revision !== $this->newest;
    }
}
