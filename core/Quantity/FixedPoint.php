<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Quantity;

use Brick\Math\BigDecimal;
use Brick\Math\BigInteger;
use Brick\Math\BigRational;
use Brick\Math\Exception\MathException;
use Brick\Math\RoundingMode;

/**
 * Exact arithmetic on integers that stand for decimal fractions. A result that does not fit 64 bits is an error,
 * never a float; a result finer than the scale is rounded half away from zero, once.
 */
final readonly class FixedPoint
{
    /** Reads "12", "0.25" or "-3.5" as an integer number of 10^-$places. Returns null for anything else. */
    public static function parse(string $text, int $places): ?int
    {
        if (preg_match('/^-?\d{1,15}(\.\d+)?$/', $text) !== 1) {
            return null;
        }
        try {
            return BigDecimal::of($text)->toScale($places)->getUnscaledValue()->toInt();
        } catch (MathException) {
            return null;
        }
    }

    /** The shortest decimal text: "12", "0.25". With $least, that many decimals at least. */
    public static function format(int $value, int $places, int $least = 0): string
    {
        $text = (string) BigDecimal::ofUnscaledValue($value, $places);
        if ($places === 0) {
            return $text;
        }
        $short = rtrim($text, '0');
        [$whole, $fraction] = explode('.', $short) + [1 => ''];

        return $least === 0 && $fraction === '' ? $whole : $whole.'.'.str_pad($fraction, $least, '0');
    }

    public static function add(int $a, int $b): int
    {
        $sum = $a + $b;

        // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
        return is_int($sum) ? $sum : throw new \OverflowException('A number becomes too large here to be kept exactly.');
    }

    /** $a × $numerator ÷ $denominator, rounded half away from zero. */
    public static function scale(int $a, int $numerator, int $denominator): int
    {
        $product = $a * $numerator;
        // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
        if (is_int($product) && $product % $denominator === 0) {
            return intdiv($product, $denominator);
        }
        try {
            return BigRational::nd(BigInteger::of($a)->multipliedBy($numerator), $denominator)
                ->toScale(0, RoundingMode::HALF_UP)
                ->toBigInteger()
                ->toInt();
        } catch (MathException $e) {
            throw new \OverflowException('A number becomes too large here to be kept exactly.', 0, $e);
        }
    }
}
