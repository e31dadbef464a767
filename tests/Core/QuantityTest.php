<?php

declare(strict_types=1);

use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;
use Tests\Core\Support\Make;

it('keeps quantities exactly', function (): void {
    expect((string) Quantity::parse('0.1')->plus(Quantity::parse('0.2')))->toBe('0.3')
        ->and((string) Quantity::parse('12'))->toBe('12')
        ->and((string) Quantity::parse(' 0.250000 '))->toBe('0.25')
        ->and((string) Quantity::parse('2.5')->times(Quantity::parse('0.5')))->toBe('1.25')
        ->and((string) Quantity::parse('-3.5'))->toBe('-3.5');
});

it('rounds a product finer than millionths half away from zero', function (): void {
    expect((string) Quantity::parse('0.000001')->times(Quantity::parse('0.5')))->toBe('0.000001')
        ->and((string) Quantity::parse('0.333333')->times(Quantity::parse('0.333333')))->toBe('0.111111');
});

it('refuses what is no quantity', function (string $text): void {
    expect(fn () => Quantity::parse($text))->toThrow(Refusal::class);
})->with(['', 'two', '1,5', '1e3', '0.1234567', '--1', '99999999999999999999']);

it('makes overflow an error, never a float', function (): void {
    $large = Quantity::ofMillionths(PHP_INT_MAX);
    expect(fn () => $large->plus(Quantity::one()))->toThrow(OverflowException::class)
        ->and(fn () => $large->times(Quantity::parse('2')))->toThrow(OverflowException::class);
});

it('multiplies large amounts through wider arithmetic', function (): void {
    expect((string) Money::parse('1234567.89')->times(Quantity::parse('100000')))->toBe('123456789000.00');
});

it('adds and subtracts without a trace', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        $a = Money::ofTenThousandths($random->getInt(-10 ** 12, 10 ** 12));
        $b = Money::ofTenThousandths($random->getInt(-10 ** 12, 10 ** 12));
        expect($a->plus($b)->minus($b))->toEqual($a)
            ->and((string) Money::parse((string) $a))->toBe((string) $a);
    });
});

it('converts between units that measure the same, and refuses others', function (): void {
    expect((string) Unit::Millimetre->convert(Quantity::parse('1500'), Unit::Metre))->toBe('1.5')
        ->and((string) Unit::Pair->convert(Quantity::parse('3'), Unit::Piece))->toBe('6')
        ->and((string) Unit::Gram->convert(Quantity::parse('2'), Unit::Kilogram))->toBe('0.002')
        ->and(fn () => Unit::Gram->convert(Quantity::one(), Unit::Metre))->toThrow(Refusal::class, 'cannot be converted')
        ->and(fn () => Unit::Sheet->convert(Quantity::one(), Unit::Piece))->toThrow(Refusal::class)
        ->and(fn () => Unit::parse('dozen'))->toThrow(Refusal::class, 'no unit in use here');
});
