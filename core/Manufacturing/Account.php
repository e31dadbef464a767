<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

/** How manufacturing accounts for an engineering line. */
enum Account: string
{
    case InFull = 'in_full';
    /** Over operations, kits and levels that only manufacturing has. */
    case InParts = 'in_parts';
    /** In another unit, or with scrap on top. */
    case Otherwise = 'otherwise';
    case Replaced = 'replaced';
    case LeftOut = 'left_out';
    /** Not, not wholly, or more than wholly. */
    case Open = 'open';
}
