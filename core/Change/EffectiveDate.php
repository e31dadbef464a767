<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

use Orthotaxis\Core\Calendar\Day;

/** The first day of the new revisions: not in the past, and after the revisions they supersede began. */
final readonly class EffectiveDate
{
    /** @return ?string why the date cannot be, or null when it can */
    public static function fault(Order $order, Day $today): ?string
    {
        $date = $order->effectiveOn;
        if ($date === null) {
            return 'Set the effective date.';
        }
        if ($date->isBefore($today)) {
            return "{$date} is in the past. Set today or a later day.";
        }
        foreach ($order->works() as $work) {
            if ($work->base->from !== null && !$work->base->from->isBefore($date)) {
                return "{$work->subject} revision {$work->base->revision} itself takes effect on {$work->base->from}. Set a later day.";
            }
        }

        return null;
    }
}
