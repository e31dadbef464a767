<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Comparison;

use Orthotaxis\Core\Content\HandedPart;
use Orthotaxis\Core\Structure\LineField;

/** A line of a structure as planning is told of it: as it is, or as it was when it is gone. */
final readonly class HandedLine
{
    public static function of(Difference $difference): HandedPart
    {
        $line = $difference->after ?? $difference->before;

        return new HandedPart($difference->kind->handedOver(), [
            'find' => $line?->find,
            'component' => $line?->component,
            'componentRevision' => $line?->revision,
            'replaces' => $difference->kind === DifferenceKind::Replaced ? $difference->before?->component : null,
            'quantity' => $line?->text(LineField::Quantity),
            'unit' => $line?->unit->value,
            'designators' => $line?->designators,
            'notes' => $line?->notes,
            'phantom' => $line?->text(LineField::Phantom),
            'byProduct' => $line?->text(LineField::ByProduct),
            'firstDay' => $line?->text(LineField::FirstDay),
            'lastDay' => $line?->text(LineField::LastDay),
            'operation' => $line?->operation,
            'scrap' => $line?->text(LineField::Scrap),
        ]);
    }
}
