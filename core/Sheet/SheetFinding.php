<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Sheet;

/** One thing in which a sheet does not agree with the structure. */
final readonly class SheetFinding
{
    /**
     * @param  string  $find  of the line; of what only the sheet has, as the sheet says
     * @param  string  $item  number of the component; empty: of a balloon that no line has
     * @param  string  $sheet  what the sheet says; empty: nothing
     * @param  string  $structure  what the structure says; empty: nothing
     */
    public function __construct(
        public FindingKind $kind,
        public string $find,
        public string $item,
        public string $sheet = '',
        public string $structure = '',
    ) {}
}
