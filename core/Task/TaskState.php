<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Task;

/** The life of a task. */
enum TaskState: string
{
    /** It waits for somebody of its group to claim it. */
    case Open = 'open';
    /** Somebody has it: it is on nobody else's list. */
    case Claimed = 'claimed';
    case Done = 'done';
    case Withdrawn = 'withdrawn';

    public function isOpen(): bool
    {
        return $this === self::Open || $this === self::Claimed;
    }

    /** @return list<self> */
    public static function ahead(): array
    {
        return [self::Open, self::Claimed];
    }
}
