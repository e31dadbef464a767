<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

/** Where a plant puts what it takes over, where only the category of the component says so. */
enum TakenOver: string
{
    /** Fasteners go in where the part before them does. */
    case WithBefore = 'with_before';
    case First = 'first';
    /** Labels and packaging go on when all else is done. */
    case Last = 'last';
    /** Documents are issued to the work place, not with the parts. */
    case LeftOut = 'left_out';
}
