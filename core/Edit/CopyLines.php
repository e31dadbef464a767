<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Edit;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\Structure;

/**
 * The lines of one item as new lines of another, which begins on a day.
 *
 * A bracket under a new number has what the old one has on the day on which it begins: what has ended by then stays behind, what holds
 * begins with the new number, and what is still to come comes on its day. Each is a line of its own from then on.
 */
final readonly class CopyLines
{
    /** @return list<AddLine> without identity yet */
    public static function of(Structure $lines, Day $from): array
    {
        $copied = [];
        foreach ($lines as $line) {
            $validity = $line->validity;
            if ($validity->to !== null && !$from->isBefore($validity->to)) {
                continue;
            }
            $begun = $validity->from === null || !$from->isBefore($validity->from);
            $copied[] = new AddLine('', array_diff_key($line->texts(), $begun ? [LineField::FirstDay->value => true] : []));
        }

        return $copied;
    }
}
