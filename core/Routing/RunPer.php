<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Routing;

/** What the run time of an operation is the time of. */
enum RunPer: string
{
    case Unit = 'unit';
    case Batch = 'batch';
}
