<?php

declare(strict_types=1);

use Orthotaxis\Core\Numbering\NumberRule;
use Orthotaxis\Core\Refusal;

it('fills the counter up with zeros behind the part of the category', function (): void {
    expect(NumberRule::of('200-', 4, false)->number(43))->toBe('200-0043')
        ->and(NumberRule::of('', 6, false)->number(7))->toBe('000007');
});

it('adds the check digit of ISO/IEC 7064', function (): void {
    // The example of the standard for MOD 11,10: 0794 has the check digit 5.
    expect(NumberRule::checkDigit('0794'))->toBe(5)
        ->and(NumberRule::of('07', 2, true)->number(94))->toBe('0794-5');
});

it('has another check digit when a digit is mistyped, and nearly always when two are swapped', function (): void {
    $unnoticed = 0;
    for ($number = 1000; $number < 2000; $number++) {
        $digits = (string) $number;
        $check = NumberRule::checkDigit($digits);
        for ($at = 0; $at < 4; $at++) {
            for ($other = 0; $other <= 9; $other++) {
                $mistyped = substr_replace($digits, (string) $other, $at, 1);
                if ($mistyped !== $digits) {
                    expect(NumberRule::checkDigit($mistyped))->not->toBe($check);
                }
            }
        }
        $swapped = $digits[0].$digits[2].$digits[1].$digits[3];
        $unnoticed += $swapped !== $digits && NumberRule::checkDigit($swapped) === $check ? 1 : 0;
    }
    expect($unnoticed)->toBeLessThan(30);
});

it('says when its numbers are used up, and what is wrong with a rule', function (): void {
    expect(fn () => NumberRule::of('200-', 2, false)->number(100))->toThrow(Refusal::class, 'used up')
        ->and(fn () => NumberRule::of('no spaces', 2, false))->toThrow(Refusal::class, 'capitals')
        ->and(fn () => NumberRule::of('', 0, false))->toThrow(Refusal::class, '1 to 12');
});
