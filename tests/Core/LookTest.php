<?php

declare(strict_types=1);

use Orthotaxis\Core\Notice\Look;
use Tests\Core\Support\Make;

/* What is new to somebody who comes back to a change. */

it('shows as new what came since the visit before, also when the page is loaded again', function (): void {
    $hour = 3600;
    $nine = Look::first(40, 9 * $hour);
    $noon = $nine->again(46, 12 * $hour);
    $soon = $noon->again(47, 12 * $hour + 600);
    $evening = $soon->again(47, 19 * $hour);
    expect([$nine->seen, $noon->seen, $soon->seen, $evening->seen])
        ->toBe([40, 40, 40, 47])
        ->and([$nine->since, $noon->since, $soon->since, $evening->since])
        ->toBe([null, 9 * $hour, 9 * $hour, 12 * $hour + 600]);
});

it('takes half an hour without a look for another visit, and no less', function (int $later, int $seen): void {
    expect((new Look(3, 5, 1000, null))->again(9, 1000 + $later)->seen)->toBe($seen);
})->with([[0, 3], [Look::VISIT, 3], [Look::VISIT + 1, 5]]);

it('never shows again what was new in a visit before, and leaves nothing out', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        [$newest, $at] = [$random->getInt(0, 9), 0];
        $look = Look::first($newest, $at);
        $shown = $newest;
        for ($i = 0; $i < 30; $i++) {
            $newest += $random->getInt(0, 4);
            $at += $random->getInt(1, 2 * Look::VISIT);
            $isNew = $at - $look->at > Look::VISIT;
            $look = $look->again($newest, $at);
            if ($isNew) {
                // Exactly what came after all that was there at the look before.
                expect($look->seen)->toBe($shown);
            }
            expect($look->seen)->toBeLessThanOrEqual($look->latest);
            $shown = $newest;
        }
    }, 40);
});
