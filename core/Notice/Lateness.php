<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Notice;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Calendar\WorkCalendar;

/** What is told of something that is not done, as its due day comes and goes; each of it is told once. */
enum Lateness: string
{
    /** It is due soon: whoever is to do it is reminded. */
    case Near = 'near';
    /** Its day is over: whoever is to do it is told. */
    case Overdue = 'overdue';
    /** It has been so for days: somebody else sees to it. */
    case Escalated = 'escalated';

    /**
     * What holds on a day. Working days of the calendar count; on the due day itself nothing is late.
     *
     * Example: due on Friday, reminder two days before, escalation two days after. From Wednesday to Friday it is near; on Saturday it is
     * overdue; on Tuesday it is escalated too.
     *
     * @param  ?int  $remind  working days before the due day; null: nobody is reminded
     * @param  ?int  $escalate  working days after it; null: it goes no further
     * @return list<self>
     */
    public static function on(Day $today, Day $due, WorkCalendar $calendar, ?int $remind, ?int $escalate): array
    {
        if (!$due->isBefore($today)) {
            return $remind !== null && !$today->isBefore($calendar->before($due, $remind)) ? [self::Near] : [];
        }

        return $escalate !== null && !$today->isBefore($calendar->after($due, $escalate))
            ? [self::Overdue, self::Escalated]
            : [self::Overdue];
    }
}
