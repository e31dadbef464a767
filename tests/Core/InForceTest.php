<?php

declare(strict_types=1);

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Revision\DatedRevision;
use Orthotaxis\Core\Revision\InForce;
use Orthotaxis\Core\Revision\Phase;
use Orthotaxis\Core\Revision\RevisionStatus;

// The pump module: F holds until 7 December, G was released on 26 November for the 8th.
$pump = fn(): array => [
    DatedRevision::kept('E', RevisionStatus::Superseded, '2025-03-01', '2026-02-01'),
    DatedRevision::kept('F', RevisionStatus::Superseded, '2026-02-01', '2026-12-08'),
    DatedRevision::kept('G', RevisionStatus::Released, '2026-12-08', null),
    DatedRevision::kept('H', RevisionStatus::InWork, null, null),
];

it('says what holds on a day and what comes, whatever was released last', function (
    string $day,
    ?string $shown,
    Phase $phase,
    ?string $coming,
) use ($pump): void {
    $revisions = $pump();
    shuffle($revisions);
    $on = InForce::on(Day::parse($day), $revisions);
    expect([$on->shown?->code, $on->phase(), $on->coming?->code])->toBe([$shown, $phase, $coming]);
})->with([
    'long before' => ['2024-01-01', 'E', Phase::Coming, 'E'],
    'while E held' => ['2025-12-31', 'E', Phase::InForce, 'F'],
    'the last day of F' => ['2026-12-07', 'F', Phase::InForce, 'G'],
    'the first day of G' => ['2026-12-08', 'G', Phase::InForce, null],
]);

it('knows an item that never was released, one that ended, and one that was taken out of use while it still holds', function (): void {
    $day = Day::parse('2026-11-26');
    $work = InForce::on($day, [DatedRevision::kept('A', RevisionStatus::InReview, null, null)]);
    expect($work->shown)
        ->toBeNull()
        ->and($work->phase())
        ->toBe(Phase::InWork)
        ->and(InForce::on($day, [])->phase())
        ->toBe(Phase::InWork);
    $ended = [
        DatedRevision::kept('A', RevisionStatus::Superseded, '2024-01-01', '2025-01-01'),
        DatedRevision::kept('B', RevisionStatus::Obsolete, '2025-01-01', '2026-12-01'),
    ];
    expect(InForce::on($day, $ended)->phase())
        ->toBe(Phase::InForce)
        ->and(InForce::on(Day::parse('2026-12-01'), $ended)->phase())
        ->toBe(Phase::Obsolete)
        ->and(InForce::on(Day::parse('2026-12-01'), $ended)->shown?->code)
        ->toBe('B');
});

it('lets every revision come, hold and pass in this order, at most one at a time', function (): void {
    mt_srand(12);
    for ($round = 0; $round < 200; $round++) {
        $from = Day::parse('2026-01-01')->plusDays(mt_rand(0, 300));
        $revisions = [];
        for ($i = 0, $n = mt_rand(1, 5); $i < $n; $i++) {
            $to = $i === $n - 1 ? null : $from->plusDays(mt_rand(1, 90));
            $revisions[] = DatedRevision::kept(
                chr(65 + $i),
                $to === null ? RevisionStatus::Released : RevisionStatus::Superseded,
                (string) $from,
                $to === null ? null : (string) $to,
            );
            $from = $to ?? $from;
        }
        $rank = [Phase::Coming->value => 0, Phase::InForce->value => 1, Phase::Superseded->value => 2];
        $before = array_fill(0, $n, 0);
        for ($day = Day::parse('2025-12-31'), $i = 0; $i < 120; $i++, $day = $day->plusDays(7)) {
            $now = array_map(static fn(DatedRevision $one): int => $rank[$one->phase($day)->value], $revisions);
            expect(count(array_keys($now, 1, true)))
                ->toBeLessThanOrEqual(1)
                ->and(array_filter(array_map(static fn(int $b, int $a): bool => $a < $b, $before, $now)))
                ->toBe([]);
            $on = InForce::on($day, $revisions);
            expect($on->shown)
                ->not->toBeNull()
                ->and($on->coming === null)
                ->toBe(!in_array(0, $now, true));
            $before = $now;
        }
    }
});
