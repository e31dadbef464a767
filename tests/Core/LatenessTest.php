<?php

declare(strict_types=1);

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Calendar\WorkCalendar;
use Orthotaxis\Core\Notice\Lateness;
use Tests\Core\Support\Make;

/* Who is told that something is not done: as its due day comes, when it is over, and when it has been so for days. */

$week = WorkCalendar::of([1, 2, 3, 4, 5]);
$on = static fn(string $today, string $due, ?int $remind, ?int $escalate): array => array_map(
    static fn(Lateness $one): string => $one->value,
    Lateness::on(Day::parse($today), Day::parse($due), $week, $remind, $escalate),
);

// 27 November 2026 is a Friday.
it('reminds before, is late after, and goes to others days later', function (string $today, array $told) use ($on): void {
    expect($on($today, '2026-11-27', 2, 2))->toBe($told);
})->with([
    'three days before' => ['2026-11-24', []],
    'two days before' => ['2026-11-25', ['near']],
    'the day itself' => ['2026-11-27', ['near']],
    'the Saturday after' => ['2026-11-28', ['overdue']],
    'the Monday after' => ['2026-11-30', ['overdue']],
    'two working days after' => ['2026-12-01', ['overdue', 'escalated']],
    'a year after' => ['2027-12-01', ['overdue', 'escalated']],
]);

it('reminds nobody and goes no further where nobody asked for it', function () use ($on): void {
    expect($on('2026-11-27', '2026-11-27', null, null))
        ->toBe([])
        ->and($on('2026-11-30', '2026-11-27', null, null))
        ->toBe(['overdue'])
        // On the due day itself, and no day later than it can be late.
        ->and($on('2026-11-27', '2026-11-27', 0, 0))
        ->toBe(['near'])
        ->and($on('2026-11-28', '2026-11-27', 0, 0))
        ->toBe(['overdue', 'escalated']);
});

it('counts over days off, and from a due day on which nobody works', function () use ($on): void {
    // Due on Sunday: reminded two working days before the Friday before it.
    expect($on('2026-11-25', '2026-11-29', 2, 1))
        ->toBe(['near'])
        ->and($on('2026-11-24', '2026-11-29', 2, 1))
        ->toBe([])
        ->and($on('2026-11-30', '2026-11-29', 2, 1))
        ->toBe(['overdue'])
        ->and($on('2026-12-01', '2026-11-29', 2, 1))
        ->toBe(['overdue', 'escalated']);
});

it('never goes back as days go by, once it is late', function () use ($week): void {
    Make::many(function (Random\Randomizer $random) use ($week): void {
        $due = Day::parse('2026-11-27')->plusDays($random->getInt(0, 30));
        [$remind, $escalate] = [$random->getInt(0, 6), $random->getInt(0, 6)];
        $seen = [];
        for ($after = -20; $after <= 20; $after++) {
            $now = array_column(Lateness::on($due->plusDays($after), $due, $week, $remind, $escalate), 'value');
            expect(in_array('overdue', $now, true))->toBe($after > 0);
            if ($after > 0) {
                expect(array_diff($seen, $now))->toBe([]);
                $seen = $now;
            }
        }
        expect($seen)->toBe(['overdue', 'escalated']);
    }, 30);
});
