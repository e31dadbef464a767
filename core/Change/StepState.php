<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

enum StepState: string
{
    case Done = 'done';
    case Now = 'now';
    case Ahead = 'ahead';
    case NotNeeded = 'not_needed';
}
