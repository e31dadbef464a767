<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Release;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Structure\Structure;

/** One item of a release: the new revision, the one it supersedes if it is not the first, and the lines from the effective date on. */
final readonly class ItemRelease
{
    public function __construct(
        public string $number,
        public ?string $supersedes,
        public string $revision,
        public Day $effectiveFrom,
        public ?Disposition $disposition,
        public Structure $lines,
        public Comparison $comparison,
    ) {}
}
