<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

/** The life of a change request. */
enum RequestState: string
{
    case Raised = 'raised';
    case Assessing = 'assessing';
    case Returned = 'returned';
    case Approved = 'approved';
    case Rejected = 'rejected';
    case Ordered = 'ordered';

    public function mayBecome(self $next): bool
    {
        return in_array($next, match ($this) {
            self::Raised => [self::Assessing],
            self::Returned => [self::Assessing, self::Raised],
            self::Assessing => [self::Approved, self::Rejected, self::Returned],
            self::Approved => [self::Ordered],
            self::Ordered => [self::Approved],
            self::Rejected => [],
        }, true);
    }

    public function isOpen(): bool
    {
        return $this !== self::Rejected && $this !== self::Ordered;
    }
}
