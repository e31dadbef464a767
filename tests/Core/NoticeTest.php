<?php

declare(strict_types=1);

use Orthotaxis\Core\Notice\Audience;
use Orthotaxis\Core\Notice\Cause;
use Orthotaxis\Core\Notice\Mentions;
use Orthotaxis\Core\Notice\Pace;
use Tests\Core\Support\Make;

it('tells everybody once, for the strongest reason, and nobody of what they did', function (): void {
    // 1 sends to review; 2 signs and watches; 3 asked for it and is named in a comment; 4 watches.
    $told = Audience::of(1, ['watches' => [4, 2, 1], 'takes_part' => [1, 3], 'to_do' => [2], 'mentioned' => [3]]);
    expect($told)
        ->toBe([2 => Cause::ToDo, 3 => Cause::Mentioned, 4 => Cause::Watches])
        ->and(Audience::of(null, ['takes_part' => [1]]))
        ->toBe([1 => Cause::TakesPart])
        ->and(Audience::of(1, []))
        ->toBe([]);
});

it('tells the same people whatever order they are found in, and never the actor', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        $people = [];
        foreach (Cause::cases() as $cause) {
            $people[$cause->value] = array_map(static fn(): int => $random->getInt(1, 9), range(1, $random->getInt(1, 6)));
        }
        $actor = $random->getInt(1, 9);
        $told = Audience::of($actor, $people);
        $shuffled = Audience::of(
            $actor,
            array_map(static fn(array $some): array => $random->shuffleArray($some), array_reverse($people, true)),
        );
        ksort($told);
        ksort($shuffled);
        expect($shuffled)->toBe($told)->and($told)->not->toHaveKey($actor);
        foreach (array_diff(array_merge(...array_values($people)), [$actor]) as $person) {
            expect($told)->toHaveKey($person);
        }
    });
});

it('sends a mail at once, with the hour, or with the morning', function (Pace $pace, string $at, ?string $due): void {
    $zone = new DateTimeZone('Europe/Berlin');
    expect($pace->due(new DateTimeImmutable($at, $zone))?->format('Y-m-d H:i'))->toBe($due);
})->with([
    [Pace::AtOnce, '2026-11-26 14:20', '2026-11-26 14:20'],
    [Pace::Hourly, '2026-11-26 14:20', '2026-11-26 15:00'],
    [Pace::Hourly, '2026-11-26 14:00', '2026-11-26 15:00'],
    [Pace::Hourly, '2026-11-26 23:59', '2026-11-27 00:00'],
    [Pace::Daily, '2026-11-26 06:59', '2026-11-26 07:00'],
    [Pace::Daily, '2026-11-26 07:00', '2026-11-27 07:00'],
    // The clocks go forward that night.
    [Pace::Daily, '2027-03-27 12:00', '2027-03-28 07:00'],
    [Pace::Never, '2026-11-26 14:20', null],
]);

it('says at once what has to be acted on, and once a day the rest', function (): void {
    expect(array_map(static fn(Cause $cause): string => Pace::usual($cause)->value, Cause::cases()))->toBe([
        'at_once',
        'at_once',
        'at_once',
        'daily',
        'daily',
    ]);
});

it('finds whom a comment names', function (string $text, array $names): void {
    expect(Mentions::in($text))->toBe($names);
})->with([
    ['@mira.okafor, can you look? And @helen.marsh.', ['mira.okafor', 'helen.marsh']],
    ['(@Mira.Okafor) @mira.okafor', ['mira.okafor']],
    ['write to mira@example.org or @@helen', []],
    ['@', []],
    ['@petra-quist_2!', ['petra-quist_2']],
]);
