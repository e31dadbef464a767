<?php

declare(strict_types=1);

namespace App\Days;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Calendar\WorkCalendar;

/** Days on which offices are open, Monday to Friday: what people are to sign or to read is due on one of them. */
final readonly class OfficeDays
{
    private const WEEK = [1, 2, 3, 4, 5];

    /** So many office days later; none: the day itself, or the next on which offices are open. */
    public static function after(Day $day, int $days): Day
    {
        return self::calendar()->after($day, $days);
    }

    public static function calendar(): WorkCalendar
    {
        return WorkCalendar::of(self::WEEK);
    }
}
