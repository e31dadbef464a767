<?php

declare(strict_types=1);

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Calendar\Shift;
use Orthotaxis\Core\Calendar\WorkCalendar;
use Orthotaxis\Core\Refusal;
use Random\Randomizer;
use Tests\Core\Support\Make;

const WORKING_WEEK = [1, 2, 3, 4, 5];

it('counts working days over weekends and holidays, both ways', function (): void {
    $plain = WorkCalendar::of(WORKING_WEEK);
    $holiday = WorkCalendar::of(WORKING_WEEK, ['2026-11-30' => false, '2026-11-28' => true]);
    // 27 November 2026 is a Friday.
    $friday = Day::parse('2026-11-27');
    expect((string) $plain->after($friday, 2))
        ->toBe('2026-12-01')
        ->and((string) $plain->after($friday, 0))
        ->toBe('2026-11-27')
        ->and((string) $plain->after(Day::parse('2026-11-28'), 0))
        ->toBe('2026-11-30')
        ->and((string) $plain->before(Day::parse('2026-11-29'), 0))
        ->toBe('2026-11-27')
        ->and((string) $plain->before(Day::parse('2026-12-01'), 2))
        ->toBe('2026-11-27')
        // A Saturday that is worked and a Monday that is not.
        ->and((string) $holiday->after($friday, 1))
        ->toBe('2026-11-28')
        ->and((string) $holiday->after($friday, 2))
        ->toBe('2026-12-01');
});

it('comes back to where it began: so many days later and as many earlier', function (): void {
    Make::many(static function (Randomizer $random): void {
        $weekdays = array_values(array_filter(range(1, 7), static fn(int $day): bool => $day === 3 || $random->getInt(0, 1) === 1));
        $exceptions = [];
        for ($i = 0; $i < $random->getInt(0, 9); $i++) {
            $exceptions[(string) Day::parse('2026-01-01')->plusDays($random->getInt(0, 60))] = $random->getInt(0, 1) === 1;
        }
        $calendar = WorkCalendar::of($weekdays, $exceptions);
        $day = $calendar->after(Day::parse('2026-01-01')->plusDays($random->getInt(0, 60)), 0);
        $days = $random->getInt(0, 40);
        $later = $calendar->after($day, $days);
        expect($calendar->worksOn($later))->toBeTrue()->and((string) $calendar->before($later, $days))->toBe((string) $day);
    });
});

it('refuses a plant that is closed on every day', function (): void {
    expect(fn() => WorkCalendar::of([]))->toThrow(Refusal::class, 'closed on every day');
    expect(fn() => WorkCalendar::of([0, 8]))->toThrow(Refusal::class, 'closed on every day');
});

it('reads shifts, also over midnight, and says what is none', function (): void {
    $shifts = Shift::parseAll('14:00–22:00, 06:00 - 14:00,22:00-06:00');
    expect(array_map(strval(...), $shifts))
        ->toBe(['06:00-14:00', '14:00-22:00', '22:00-06:00'])
        ->and(WorkCalendar::of(WORKING_WEEK, shifts: $shifts)->minutes())
        ->toBe(24 * 60)
        ->and(WorkCalendar::of(WORKING_WEEK, shifts: Shift::parseAll('07:30-15:45'))->minutes())
        ->toBe(495)
        ->and(Shift::parseAll(' '))
        ->toBe([]);
});

it('refuses shifts that are no times or overlap', function (string $text, string $reason): void {
    expect(fn() => Shift::parseAll($text))->toThrow(Refusal::class, $reason);
})->with([
    ['6 to 2', '"6 to 2" is no shift'],
    ['06:00-24:30', 'is no shift'],
    ['06:00-14:00, 13:59-22:00', '06:00-14:00 overlaps'],
    ['06:00-14:00, 22:00-06:01', '22:00-06:01 overlaps'],
]);
