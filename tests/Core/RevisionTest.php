<?php

declare(strict_types=1);

use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Revision\RevisionStatus;
use Orthotaxis\Core\Revision\Sequence;

it('goes on to the next letter, leaving out those that are misread', function (string $code, string $next): void {
    expect(Sequence::Letters->after($code))->toBe($next);
})->with([['A', 'B'], ['H', 'J'], ['N', 'P'], ['P', 'R'], ['R', 'T'], ['W', 'Y'], ['Y', 'AA'], ['AA', 'AB'], ['AY', 'BA'], ['YY', 'AAA']]);

it('counts numbers', function (): void {
    expect(Sequence::Numbers->first())->toBe('1')->and(Sequence::Numbers->after('9'))->toBe('10');
});

it('refuses a code of another sequence', function (Sequence $sequence, string $code): void {
    expect(fn() => $sequence->after($code))->toThrow(Refusal::class);
})->with([[Sequence::Letters, 'O'], [Sequence::Letters, '1'], [Sequence::Letters, ''], [Sequence::Numbers, 'A'], [Sequence::Numbers, '0']]);

it('never lets what is released go back', function (): void {
    foreach ([RevisionStatus::Released, RevisionStatus::Superseded, RevisionStatus::Obsolete] as $frozen) {
        expect($frozen->isFrozen())
            ->toBeTrue()
            ->and($frozen->mayBecome(RevisionStatus::InWork))
            ->toBeFalse()
            ->and($frozen->mayBecome(RevisionStatus::InReview))
            ->toBeFalse();
    }
    expect(RevisionStatus::InReview->mayBecome(RevisionStatus::Released))
        ->toBeTrue()
        ->and(RevisionStatus::InWork->mayBecome(RevisionStatus::Released))
        ->toBeFalse();
});

it('takes no line break for the end of a code', function (): void {
    expect(fn() => Sequence::Numbers->after("7\n"))->toThrow(Refusal::class);
});
