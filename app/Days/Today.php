<?php

declare(strict_types=1);

namespace App\Days;

use Carbon\CarbonImmutable;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;

/** The calendar day it is here, and the day a request asks about. */
final readonly class Today
{
    /** @param  string  $plant  the day it is there; empty: in the zone of the installation */
    public static function day(string $plant = ''): Day
    {
        $zone = $plant === '' ? null : DB::table('plants')->where('code', $plant)->value('time_zone');

        return self::inZone(is_string($zone) ? $zone : null);
    }

    /** @param  ?string  $zone  null: that of the installation */
    public static function inZone(?string $zone): Day
    {
        $now = CarbonImmutable::now();

        return Day::of($zone === null ? $now : $now->setTimezone($zone));
    }

    /** The day in the question, or today: at the plant whose structure is asked for, where it is of one. */
    public static function orAsked(Request $request): Day
    {
        $asked = $request->query('on');

        return is_string($asked) && $asked !== '' ? Day::parse($asked, 'on') : self::day($request->string('plant')->toString());
    }
}
