<?php

declare(strict_types=1);

use Brick\Math\BigDecimal;
use Brick\Math\BigInteger;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;
use Tests\Core\Support\Make;

it('keeps quantities exactly', function (): void {
    expect((string) Quantity::parse('0.1')->plus(Quantity::parse('0.2')))
        ->toBe('0.3')
        ->and((string) Quantity::parse('12'))
        ->toBe('12')
        ->and((string) Quantity::parse(' 0.250000 '))
        ->toBe('0.25')
        ->and((string) Quantity::parse('2.5')->times(Quantity::parse('0.5')))
        ->toBe('1.25')
        ->and((string) Quantity::parse('-3.5'))
        ->toBe('-3.5');
});

it('rounds a product finer than millionths half away from zero', function (): void {
    expect((string) Quantity::parse('0.000001')->times(Quantity::parse('0.5')))
        ->toBe('0.000001')
        ->and((string) Quantity::parse('0.333333')->times(Quantity::parse('0.333333')))
        ->toBe('0.111111');
});

it('refuses what is no quantity', function (string $text): void {
    expect(fn() => Quantity::parse($text))->toThrow(Refusal::class);
})->with(['', 'two', '1,5', '1e3', '0.1234567', '--1', '99999999999999999999']);

it('makes overflow an error, never a float', function (): void {
    $large = Quantity::ofMillionths(PHP_INT_MAX);
    expect(fn() => $large->plus(Quantity::one()))
        ->toThrow(OverflowException::class)
        ->and(fn() => $large->times(Quantity::parse('2')))
        ->toThrow(OverflowException::class)
        ->and(fn() => FixedPoint::check([1, PHP_INT_MAX + 1]))
        ->toThrow(OverflowException::class)
        ->and(fn() => FixedPoint::check([PHP_INT_MIN - 1, 1]))
        ->toThrow(OverflowException::class)
        ->and(fn() => FixedPoint::check([PHP_INT_MAX, PHP_INT_MIN]))
        ->not->toThrow(OverflowException::class);
});

it('multiplies large amounts through wider arithmetic', function (): void {
    expect((string) Money::parse('1234567.89')->times(Quantity::parse('100000')))->toBe('123456789000.00');
});

it('rounds half away from zero, in small numbers as in large ones', function (): void {
    expect(FixedPoint::scale(5, 1, 2))
        ->toBe(3)
        ->and(FixedPoint::scale(-5, 1, 2))
        ->toBe(-3)
        ->and(FixedPoint::scale(7, 1, 3))
        ->toBe(2)
        ->and(FixedPoint::scale(-8, 1, 3))
        ->toBe(-3);
    Make::many(function (Random\Randomizer $random): void {
        $most = 10 ** $random->getInt(1, 14);
        [$a, $numerator, $denominator] = [$random->getInt(-$most, $most), $random->getInt(-1000, 1000), $random->getInt(1, 50)];
        expect(FixedPoint::scale($a, $numerator, $denominator))->toBe(
            BigRational::nd(BigInteger::of($a)->multipliedBy($numerator), $denominator)
                ->toScale(0, RoundingMode::HALF_UP)
                ->toInt(),
        );
    });
});

it('reads and writes the same decimals as wider arithmetic does', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        $places = $random->getInt(0, 6);
        $value = $random->getInt(-(10 ** $random->getInt(1, 18)), 10 ** $random->getInt(1, 18));
        $exact = BigDecimal::ofUnscaledValue($value, $places);
        $text = FixedPoint::format($value, $places);
        expect(BigDecimal::of($text)->isEqualTo($exact))
            ->toBeTrue()
            ->and($text)
            ->not->toMatch('/\.\d*0$|\.$/')
            ->and(BigDecimal::of(FixedPoint::format($value, $places, 2))->isEqualTo($exact))
            ->toBeTrue();
        // Whole numbers of more than fifteen digits are not read.
        expect(FixedPoint::parse($text, $places))->toBe(strlen(ltrim(explode('.', $text)[0], '-')) > 15 ? null : $value);
    });
    expect(FixedPoint::format(PHP_INT_MIN, 6))
        ->toBe('-9223372036854.775808')
        ->and(FixedPoint::format(-5, 4, 2))
        ->toBe('-0.0005')
        ->and(FixedPoint::format(0, 4, 2))
        ->toBe('0.00')
        ->and(FixedPoint::parse('1.2500000', 2))
        ->toBe(125)
        ->and(FixedPoint::parse('1.251', 2))
        ->toBeNull()
        ->and(FixedPoint::parse('-0.5', 0))
        ->toBeNull()
        ->and(FixedPoint::parse('999999999999999', 6))
        ->toBeNull();
});

it('adds and subtracts without a trace', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        $a = Money::ofTenThousandths($random->getInt(-(10 ** 12), 10 ** 12));
        $b = Money::ofTenThousandths($random->getInt(-(10 ** 12), 10 ** 12));
        expect($a->plus($b)->minus($b))
            ->toEqual($a)
            ->and((string) Money::parse((string) $a))
            ->toBe((string) $a);
    });
});

it('converts between units that measure the same, and refuses others', function (): void {
    expect((string) Unit::Millimetre->convert(Quantity::parse('1500'), Unit::Metre))
        ->toBe('1.5')
        ->and((string) Unit::Pair->convert(Quantity::parse('3'), Unit::Piece))
        ->toBe('6')
        ->and((string) Unit::Gram->convert(Quantity::parse('2'), Unit::Kilogram))
        ->toBe('0.002')
        ->and(fn() => Unit::Gram->convert(Quantity::one(), Unit::Metre))
        ->toThrow(Refusal::class, 'cannot be converted')
        ->and(fn() => Unit::Sheet->convert(Quantity::one(), Unit::Piece))
        ->toThrow(Refusal::class)
        ->and(fn() => Unit::parse('dozen'))
        ->toThrow(Refusal::class, 'no unit in use here');
});

it('takes no line break for the end of a number', function (string $text): void {
    expect(FixedPoint::parse($text, 6))->toBeNull();
})->with(["12\n", "0.25\n", "-3.5\n", "1234567890123.5\n"]);
