<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Report;

/** The life of a problem report. Whatever is settled can be taken up again; nothing of it is ever lost. */
enum ReportState: string
{
    case Open = 'open';
    case Returned = 'returned';
    case Answered = 'answered';
    case Gathered = 'gathered';
    case Duplicate = 'duplicate';

    public function mayBecome(self $next): bool
    {
        return in_array(
            $next,
            match ($this) {
                self::Open => [self::Returned, self::Answered, self::Gathered, self::Duplicate],
                self::Returned => [self::Open, self::Answered, self::Gathered, self::Duplicate],
                self::Gathered => [self::Gathered, self::Open],
                self::Answered, self::Duplicate => [self::Open],
            },
            true,
        );
    }

    /** Whether somebody still has to do something about it; what is gathered is seen to with its requests. */
    public function isOpen(): bool
    {
        return in_array($this, self::open(), true);
    }

    /** @return list<self> */
    public static function open(): array
    {
        return [self::Open, self::Returned];
    }
}
