<?php

declare(strict_types=1);

use Orthotaxis\Core\Numbering\NumberRule;
use Orthotaxis\Core\Refusal;

it('fills the counter up with zeros behind the part of the category', function (): void {
    expect(NumberRule::of('200-', 4, false)->number(43))
        ->toBe('200-0043')
        ->and(NumberRule::of('', 6, false)->number(7))
        ->toBe('000007');
});

it('adds the check digit of ISO/IEC 7064', function (): void {
    // The example of the standard for MOD 11,10: 0794 has the check digit 5.
    expect(NumberRule::checkDigit('0794'))
        ->toBe(5)
        ->and(NumberRule::of('07', 2, true)->number(94))
        ->toBe('0794-5');
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
        $swapped = $digits[0] . $digits[2] . $digits[1] . $digits[3];
        $unnoticed += $swapped !== $digits && NumberRule::checkDigit($swapped) === $check ? 1 : 0;
    }
    expect($unnoticed)->toBeLessThan(30);
});

it('says when its numbers are used up, and what is wrong with a rule', function (): void {
    expect(fn() => NumberRule::of('200-', 2, false)->number(100))
        ->toThrow(Refusal::class, 'used up')
        ->and(fn() => NumberRule::of('no spaces', 2, false))
        ->toThrow(Refusal::class, 'capitals')
        ->and(fn() => NumberRule::of('', 0, false))
        ->toThrow(Refusal::class, '1 to 12');
});

it('tells a mistyped number of its own shape, and what was likely meant, with the place', function (): void {
    $rule = NumberRule::of('310-', 4, true);
    $right = $rule->number(57);
    expect($right)
        ->toBe('310-0057-' . NumberRule::checkDigit('3100057'))
        ->and($rule->isMistyped($right))
        ->toBeFalse()
        ->and($rule->likely($right))
        ->toBe([]);
    $swapped = '310-0075' . substr($right, -2);
    expect($rule->isMistyped($swapped))->toBeTrue()->and($rule->likely($swapped)[$right])->toBe(7);
    $wrong = '310-0157' . substr($right, -2);
    expect($rule->likely($wrong)[$right])->toBe(6);
    $check = substr($right, 0, -1) . ((int) substr($right, -1) + 1) % 10;
    expect($rule->likely($check)[$right])->toBe(10);
});

it('says nothing of numbers of another shape, or of a rule without a check digit', function (string $number): void {
    expect(NumberRule::of('310-', 4, true)->isMistyped($number))
        ->toBeFalse()
        ->and(NumberRule::of('310-', 4, false)->isMistyped($number))
        ->toBeFalse();
})->with(['310-0057', '311-0057-4', '310-00057-4', "310-0057-4\n", 'words', '']);

it('catches every single wrong digit and 97.8 in a hundred swaps of neighbours, as it says', function (): void {
    $rule = NumberRule::of('2', 3, true);
    $swaps = $missed = 0;
    for ($counter = 0; $counter < 1000; $counter++) {
        $number = $rule->number($counter);
        foreach ([1, 2, 3, 5] as $at) {
            for ($digit = 0; $digit <= 9; $digit++) {
                $other = substr_replace($number, (string) $digit, $at, 1);
                expect($rule->isMistyped($other))->toBe($other !== $number);
            }
        }
        foreach ([[1, 2], [2, 3], [3, 5]] as [$a, $b]) {
            $other = $number;
            [$other[$a], $other[$b]] = [$number[$b], $number[$a]];
            $swaps += $other === $number ? 0 : 1;
            $missed += $other === $number || $rule->isMistyped($other) ? 0 : 1;
        }
    }
    expect(round(100 - (100 * $missed) / $swaps, 1))->toBe(97.8);
});

it('takes no line break for the end of a prefix', function (): void {
    expect(fn() => NumberRule::of("200-\n", 2, false))->toThrow(Refusal::class, 'capitals');
});
