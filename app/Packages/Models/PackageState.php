<?php

declare(strict_types=1);

namespace App\Packages\Models;

enum PackageState: string
{
    case Waiting = 'waiting';
    case Making = 'making';
    case Done = 'done';
    case Failed = 'failed';
    case Cancelled = 'cancelled';
}
