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
    /** Gathered into another request, which carries all it says. */
    case Gathered = 'gathered';

    public function mayBecome(self $next): bool
    {
        return in_array(
            $next,
            match ($this) {
                self::Raised => [self::Assessing, self::Gathered],
                self::Returned => [self::Assessing, self::Raised, self::Gathered],
                self::Assessing => [self::Approved, self::Rejected, self::Returned, self::Gathered],
                self::Approved => [self::Ordered],
                self::Ordered => [self::Approved],
                self::Rejected => [],
                self::Gathered => [self::Raised],
            },
            true,
        );
    }

    public function isOpen(): bool
    {
        return !in_array($this, self::closed(), true);
    }

    /** Whether it is looked into, so that findings and corrections may still come. */
    public function isAssessed(): bool
    {
        return $this === self::Raised || $this === self::Assessing;
    }

    /** Whether the board has still to say yes or no. */
    public function isUndecided(): bool
    {
        return $this->isAssessed() || $this === self::Returned;
    }

    /** @return list<self> those in which nothing is left to do for it */
    public static function closed(): array
    {
        return [self::Rejected, self::Ordered, self::Gathered];
    }
}
