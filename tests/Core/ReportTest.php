<?php

declare(strict_types=1);

use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Report\ReportState;
use Orthotaxis\Core\Report\Slip;
use Orthotaxis\Core\Report\Wording;

it('tells how alike two reports are, by the items and words they share', function (): void {
    $tube = Wording::of('Pump tube torn at the rollers', 'Ran dry after 160 hours; fine silt in the pump head.', ['200-0040']);
    $again = Wording::of('Tube leaks at the rollers', 'A customer sends back two pumps: silt.', ['200-0010', '200-0040']);
    $other = Wording::of('Display fades', 'Readings cannot be seen at noon.', ['300-0034']);
    expect($tube->likeness($tube))
        ->toBe(100)
        ->and($tube->likeness($again))
        ->toBeGreaterThan(70)
        ->and($again->likeness($tube))
        ->toBe($tube->likeness($again))
        ->and($tube->likeness($other))
        ->toBeLessThan(Wording::LIKELY)
        ->and(Wording::of('', '', [])->likeness($tube))
        ->toBe(0);
});

it('counts a word in any of its forms once, and no word that stands in every report', function (): void {
    expect(array_keys(Wording::of('It leaks, leaked, leaking', 'This was found again when it leaks', [])->stems))->toBe(['leak']);
    // Half by items, half by words: one of two words shared, the item not.
    expect(Wording::of('Gasket cracked', '', ['1'])->likeness(Wording::of('Gasket hardened', '', ['2'])))->toBe(25);
    expect(Wording::of('Прокладка треснула', '', [])->likeness(Wording::of('Прокладка', '', [])))->toBe(50);
});

it('reads a word with one slip of the fingers as that word, and no other word', function (string $one, string $other, bool $same): void {
    expect(Slip::between($one, $other))->toBe($same)->and(Slip::between($other, $one))->toBe($same);
})->with([
    'a letter too many' => ['membrane', 'memmbrane', true],
    'a letter too few' => ['membrane', 'memrane', true],
    'the last letter missing' => ['gasket', 'gaske', true],
    'a wrong letter' => ['housing', 'hausing', true],
    'two that changed places' => ['gasket', 'gasekt', true],
    'two slips' => ['membrane', 'menbrame', false],
    'letters that changed places far apart' => ['carousel', 'cerousal', false],
    'another beginning' => ['rotor', 'motor', false],
    'short words' => ['leak', 'lead', false],
    'the same word, which is no slip' => ['gasket', 'gasket', false],
    'letters of more than one byte' => ['прокладка', 'прокалдка', true],
]);

it('finds a report again that was typed in a hurry', function (): void {
    $first = Wording::of('Gasket hardened in frost', 'The membrane split', ['110-0002']);
    $hurry = Wording::of('Gaskte hardened', 'membane', []);
    expect($first->likeness($hurry))
        ->toBe(50)
        ->and($hurry->likeness($first))
        ->toBe(50)
        ->and($first->likeness(Wording::of('Casket handled', 'member', [])))
        ->toBeLessThan(Wording::LIKELY);
});

it('takes whatever is settled up again', function (): void {
    foreach (ReportState::cases() as $state) {
        expect($state === ReportState::Open || $state->mayBecome(ReportState::Open))->toBeTrue();
    }
    expect(ReportState::Answered->mayBecome(ReportState::Gathered))->toBeFalse()->and(ReportState::Gathered->isOpen())->toBeFalse();
});

it('gathers only what is not decided, and takes it out again', function (): void {
    $gathered = array_filter(RequestState::cases(), static fn(RequestState $state): bool => $state->mayBecome(RequestState::Gathered));
    expect(array_values($gathered))
        ->toBe([RequestState::Raised, RequestState::Assessing, RequestState::Returned])
        ->and(RequestState::Gathered->mayBecome(RequestState::Raised))
        ->toBeTrue()
        ->and(RequestState::Gathered->isOpen())
        ->toBeFalse();
});
