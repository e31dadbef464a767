<?php

declare(strict_types=1);

namespace App\Structures;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Comparison\DifferenceKind;
use Orthotaxis\Core\Structure\Structure;

/** What structures would be if what is planned for them were so. Whoever plans changes says it. */
interface Overlay
{
    /**
     * @param  array<string, Structure>  $structures  by item number, as they are
     * @return array<string, Structure> as they would be on the day
     */
    public function over(array $structures, Day $day): array;

    /** What would become of a line of what was laid over; null when nothing. */
    public function mark(string $parent, string $line): ?DifferenceKind;

    /** The number of what plans it for an item; null when nothing does. */
    public function plannedBy(string $parent): ?string;
}
