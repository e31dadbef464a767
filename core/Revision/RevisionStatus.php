<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Revision;

/** The life of a revision. Only what is in work can be changed; the rest stays as it is for ever. */
enum RevisionStatus: string
{
    case InWork = 'in_work';
    case InReview = 'in_review';
    case Released = 'released';
    case Superseded = 'superseded';
    case Obsolete = 'obsolete';

    public function mayBecome(self $next): bool
    {
        return in_array(
            $next,
            match ($this) {
                self::InWork => [self::InReview],
                self::InReview => [self::InWork, self::Released],
                self::Released => [self::Superseded, self::Obsolete],
                self::Superseded => [self::Obsolete],
                self::Obsolete => [],
            },
            true,
        );
    }

    public function isFrozen(): bool
    {
        return $this === self::Released || $this === self::Superseded || $this === self::Obsolete;
    }
}
