<?php

declare(strict_types=1);

namespace App\Structures;

use Carbon\CarbonImmutable;
use Illuminate\Http\Request;
use Orthotaxis\Core\Calendar\Day;

/** The calendar day it is here, and the day a request asks about. */
final readonly class Today
{
    public static function day(): Day
    {
        return Day::of(CarbonImmutable::now());
    }

    public static function orAsked(Request $request): Day
    {
        $asked = $request->query('on');

        return is_string($asked) && $asked !== '' ? Day::parse($asked, 'on') : self::day();
    }
}
