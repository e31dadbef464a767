<?php

declare(strict_types=1);

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Calendar\Validity;
use Orthotaxis\Core\Refusal;

it('reads days as ISO 8601 and nothing else', function (): void {
    expect((string) Day::parse('2028-02-29')->plusDays(1))
        ->toBe('2028-03-01')
        ->and(fn() => Day::parse('2027-02-29'))
        ->toThrow(Refusal::class)
        ->and(fn() => Day::parse('1 March'))
        ->toThrow(Refusal::class)
        ->and(fn() => Day::parse('2027-3-1'))
        ->toThrow(Refusal::class)
        ->and(fn() => Day::parse("2027-03-01\n"))
        ->toThrow(Refusal::class)
        ->and(fn() => Day::parse('2027-13-01'))
        ->toThrow(Refusal::class);
});

it('holds from the first day up to but not including the end', function (): void {
    $validity = new Validity(Day::parse('2027-01-10'), Day::parse('2027-01-20'));
    expect($validity->holdsOn(Day::parse('2027-01-09')))
        ->toBeFalse()
        ->and($validity->holdsOn(Day::parse('2027-01-10')))
        ->toBeTrue()
        ->and($validity->holdsOn(Day::parse('2027-01-19')))
        ->toBeTrue()
        ->and($validity->holdsOn(Day::parse('2027-01-20')))
        ->toBeFalse()
        ->and(Validity::always()->holdsOn(Day::parse('1999-12-31')))
        ->toBeTrue();
});

it('lets one end on the day the next begins', function (): void {
    $turn = Day::parse('2027-01-20');
    expect((new Validity(null, $turn))->overlaps(new Validity($turn, null)))
        ->toBeFalse()
        ->and((new Validity(null, $turn->plusDays(1)))->overlaps(new Validity($turn, null)))
        ->toBeTrue()
        ->and(fn() => new Validity($turn, $turn))
        ->toThrow(Refusal::class);
});
