<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\CutIn\PlantCalendars;
use App\Manufacturing\Models\Plant;
use Orthotaxis\Core\Calendar\WorkCalendar;

/** The calendars of the plants that are set up. */
final readonly class KeptCalendars implements PlantCalendars
{
    public function all(): array
    {
        return Plant::query()->with('days')->get()->keyBy('code')->map(static fn(Plant $plant): WorkCalendar => $plant->calendar())->all();
    }
}
