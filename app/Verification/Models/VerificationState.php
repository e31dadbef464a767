<?php

declare(strict_types=1);

namespace App\Verification\Models;

enum VerificationState: string
{
    case Waiting = 'waiting';
    case Running = 'running';
    case Done = 'done';
    /** Planning did not answer, or not with anything that could be read. */
    case Silent = 'silent';
    case Cancelled = 'cancelled';

    public function isUnderWay(): bool
    {
        return $this === self::Waiting || $this === self::Running;
    }
}
