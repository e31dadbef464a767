<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Revision;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Calendar\Validity;

/**
 * What a revision is on a day. Its status says only how far it has come in its life: released today with a first day in two
 * weeks, it is *coming*, and the one before it, superseded by that very release, is *in force* until then.
 */
enum Phase: string
{
    case InWork = 'in_work';
    case InReview = 'in_review';
    case Coming = 'coming';
    case InForce = 'in_force';
    case Superseded = 'superseded';
    case Obsolete = 'obsolete';

    public static function of(RevisionStatus $status, Validity $days, Day $day): self
    {
        return match (true) {
            $status === RevisionStatus::InWork => self::InWork,
            $status === RevisionStatus::InReview => self::InReview,
            $days->holdsOn($day) => self::InForce,
            $days->from !== null && $day->isBefore($days->from) => self::Coming,
            $status === RevisionStatus::Obsolete => self::Obsolete,
            default => self::Superseded,
        };
    }

    /** Whether it has held and does not any more: whoever goes by it goes by what is old. */
    public function isPast(): bool
    {
        return $this === self::Superseded || $this === self::Obsolete;
    }
}
