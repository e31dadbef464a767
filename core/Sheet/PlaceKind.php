<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Sheet;

/** How a place of a sheet differs, in the words of every comparison. */
enum PlaceKind: string
{
    /** Only something that was not there. */
    case Added = 'added';

    /** Only something that is gone. */
    case Removed = 'removed';

    /** Something in place of something else. */
    case Changed = 'changed';
}
