<?php

declare(strict_types=1);

namespace App\Manufacturing\Actions;

use App\Http\Stale;
use App\Ledger\Ledger;
use App\Manufacturing\Events\PlantSet;
use App\Manufacturing\Models\Plant;
use App\Manufacturing\Models\PlantDay;
use App\People\Models\Person;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Shift;
use Orthotaxis\Core\Calendar\WorkCalendar;
use Orthotaxis\Core\Refusal;

/** Says when a plant works and where it is in time. */
final readonly class SetPlant
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param  list<int>  $weekdays  1 for Monday
     * @param  list<array{day: string, works: bool, name: string}>  $days  on which it does otherwise
     * @param  int  $version  as it was seen; 0 where it was not set up
     *
     * @throws Refusal when it would be closed on every day, or a shift is none
     * @throws Stale when somebody has set it since that version
     */
    public function set(Person $by, string $code, ?string $timeZone, array $weekdays, string $shifts, array $days, int $version): Plant
    {
        $read = Shift::parseAll($shifts);
        WorkCalendar::of($weekdays, shifts: $read);
        $shifts = implode(', ', $read);

        return $this->ledger->together(function () use ($by, $code, $timeZone, $weekdays, $shifts, $days, $version): Plant {
            // The site is held, so that two who set up a plant for the first time take turns.
            DB::table('choices')
                ->where(['list' => 'site', 'code' => $code])
                ->lockForUpdate()
                ->first();
            $plant = Plant::query()->find($code) ?? new Plant(['code' => $code, 'version' => 0]);
            if ($plant->version !== $version) {
                throw new Stale("Somebody has changed {$code} meanwhile. Look at it again.");
            }
            $plant->fill(['time_zone' => $timeZone, 'weekdays' => $weekdays, 'shifts' => $shifts, 'version' => $version + 1])->save();
            $plant->days()->delete();
            PlantDay::query()->insert(array_map(static fn(array $day): array => ['plant' => $code] + $day, $days));
            event(new PlantSet($by->login, $code, $timeZone, weekdays: $weekdays, shifts: $shifts, days: $days));

            return $plant;
        });
    }
}
