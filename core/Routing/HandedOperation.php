<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Routing;

use Orthotaxis\Core\Content\HandedPart;

/** An operation as planning is told of it: as it is, or as it was when it is gone. */
final readonly class HandedOperation
{
    public static function of(OperationDifference $difference): HandedPart
    {
        $operation = $difference->after ?? $difference->before;
        $text = static fn(OperationField $field): ?string => $operation?->text($field);
        $inside = $operation?->isOutside() === false;

        return new HandedPart($difference->kind->handedOver(), [
            'operation' => $operation?->number,
            'operationTitle' => $operation?->title,
            'workCentre' => $operation?->workCentre,
            'setUp' => $inside ? $text(OperationField::SetUp) : null,
            'run' => $inside ? $text(OperationField::Run) : null,
            'runPer' => $inside ? $text(OperationField::Per) : null,
            'supplier' => $operation?->supplier,
            'cost' => $text(OperationField::Cost),
            'leadTime' => $text(OperationField::LeadTime),
            'instruction' => $operation?->instruction,
            'tools' => $text(OperationField::Tools),
            'inspection' => $operation?->inspection,
            'specification' => $operation?->specification,
        ]);
    }
}
