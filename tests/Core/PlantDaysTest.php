<?php

declare(strict_types=1);

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Calendar\WorkCalendar;
use Orthotaxis\Core\CutIn\PlantDays;
use Tests\Core\Support\Make;

it('counts working days as the calendar does, forwards and backwards', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        $today = Day::parse('2026-11-26');
        $weekdays = array_values(array_filter(range(1, 7), static fn(int $day): bool => $day === 3 || $random->getInt(0, 3) > 0));
        $off = [];
        for ($i = 0; $i < 5; $i++) {
            $off[(string) $today->plusDays($random->getInt(-20, 40))] = $random->getInt(0, 1) === 1;
        }
        $calendar = WorkCalendar::of($weekdays, $off);
        $days = PlantDays::of($calendar, $today, 200, 300);
        for ($i = 0; $i < 10; $i++) {
            [$day, $count] = [$random->getInt(-30, 60), $random->getInt(0, 20)];
            $on = $today->plusDays($day);
            expect($days->worksOn($day))
                ->toBe($calendar->worksOn($on))
                ->and((string) $today->plusDays($days->after($day, $count)))
                ->toBe((string) $calendar->after($on, $count))
                ->and((string) $today->plusDays($days->before($day, $count)))
                ->toBe((string) $calendar->before($on, $count))
                ->and($day - $days->before($day, $count))
                ->toBeLessThanOrEqual($days->longest($count));
        }
    });
});

it('goes on day by day beyond what was counted', function (): void {
    $days = PlantDays::of(WorkCalendar::of([1, 2, 3, 4, 5]), Day::parse('2026-11-26'), 5, 5);
    expect($days->after(4, 3))
        ->toBe(7)
        ->and($days->before(-3, 6))
        ->toBe(-11)
        ->and(PlantDays::all()->after(-4, 9))
        ->toBe(5);
});

it('says how long some working days take at most: over a weekend and a closing', function (): void {
    $off = array_fill_keys(['2026-12-07', '2026-12-08', '2026-12-09', '2026-12-10', '2026-12-11'], false);
    $days = PlantDays::of(WorkCalendar::of([1, 2, 3, 4, 5], $off), Day::parse('2026-11-26'), 20, 40);
    // From a Monday, the day before the closing is a Friday, ten days earlier.
    expect($days->longest(1))
        ->toBe(10)
        ->and($days->longest(6))
        ->toBe(17)
        ->and(PlantDays::all()->longest(7))
        ->toBe(7);
});
