<?php

declare(strict_types=1);

namespace App\CutIn;

use Orthotaxis\Core\Calendar\WorkCalendar;

/** When plants work. Whoever keeps plants says it. */
interface PlantCalendars
{
    /** @return array<string, WorkCalendar> by code of the site; one without a calendar is left out */
    public function all(): array;
}
