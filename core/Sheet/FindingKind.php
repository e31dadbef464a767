<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Sheet;

/** In what a sheet does not agree with the structure that it shows. */
enum FindingKind: string
{
    /** A line of the structure is not in the parts list. */
    case MissingRow = 'missing_row';
    /** A row of the parts list names an item that the structure does not have. */
    case ExtraRow = 'extra_row';
    case OtherFind = 'other_find';
    case OtherQuantity = 'other_quantity';
    /** No balloon points at a line. */
    case MissingBalloon = 'missing_balloon';
    /** A balloon has a number that no line has. */
    case ExtraBalloon = 'extra_balloon';
}
