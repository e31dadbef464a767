<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

/** What happens to what exists of an affected item. */
enum Disposition: string
{
    case UseUp = 'use_up';
    case Rework = 'rework';
    case Scrap = 'scrap';
    case Return = 'return';
    case Hold = 'hold';
}
