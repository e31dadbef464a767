<?php

declare(strict_types=1);

namespace App\Structures\Export;

use Orthotaxis\Core\Structure\Structure;

/** The lines of one parent as they leave the house: of the revision of the day, or of one that a line names. */
final readonly class ParentLines
{
    /** @param  ?string  $revision  the one revision whose lines these are; null for the one of the day */
    public function __construct(public string $number, public ?string $revision, public Structure $structure) {}
}
