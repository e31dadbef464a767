<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Approval;

enum StepStanding: string
{
    case Done = 'done';
    case Now = 'now';
    case Ahead = 'ahead';
    /** Its conditions do not hold. */
    case NotNeeded = 'not_needed';
    /** An administrator left it out, with a reason. */
    case Skipped = 'skipped';
}
