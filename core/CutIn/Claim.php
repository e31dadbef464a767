<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

/** When a part is wanted: as long as the change is not in, from then on, or by others anyway. */
enum Claim: string
{
    case Until = 'until';
    case From = 'from';
    case Others = 'others';
}
