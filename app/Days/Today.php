<?php

declare(strict_types=1);

namespace App\Days;

use Carbon\CarbonImmutable;
use Illuminate\Http\Request;
use Orthotaxis\Core\Calendar\Day;

/** The calendar day it is here, and the day a request asks about. */
final readonly class Today
{
    /** @param  string  $plant  the day it is there; empty: in the zone of the installation */
    public static function day(string $plant = ''): Day
    {
        $zone = config()->array('orthotaxis.plant_time_zones')[$plant] ?? null;
        $now = CarbonImmutable::now();

        return Day::of(is_string($zone) ? $now->setTimezone($zone) : $now);
    }

    /** The day in the question, or today: at the plant whose structure is asked for, where it is of one. */
    public static function orAsked(Request $request): Day
    {
        $asked = $request->query('on');

        return is_string($asked) && $asked !== '' ? Day::parse($asked, 'on') : self::day($request->string('plant')->toString());
    }
}
