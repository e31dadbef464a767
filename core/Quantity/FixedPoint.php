<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Quantity;

use Brick\Math\BigDecimal;
use Brick\Math\BigInteger;
use Brick\Math\BigRational;
use Brick\Math\Exception\MathException;
use Brick\Math\RoundingMode;

use function abs;
use function intdiv;
use function is_int;

/**
 * Exact arithmetic on integers that stand for decimal fractions. A result that does not fit 64 bits is an error,
 * never a float; a result finer than the scale is rounded half away from zero, once.
 */
final readonly class FixedPoint
{
    /** Twelve digits and so many decimals always fit an integer. */
    private const SHORT = 6;

    /** Reads "12", "0.25" or "-3.5" as an integer number of 10^-$places. Returns null for anything else. */
    public static function parse(string $text, int $places): ?int
    {
        // What planning tells comes by the hundred thousand: short decimals are read without an object each.
        if (
            $places <= self::SHORT &&
            preg_match('/^(-?)(\d{1,12})(?:\.(\d{1,6}))?$/D', $text, $read) === 1 &&
            strlen($fraction = $read[3] ?? '') <= $places
        ) {
            $value = (int) $read[2] * 10 ** $places + (int) str_pad($fraction, $places, '0');

            return $read[1] === '-' ? -$value : $value;
        }
        if (preg_match('/^-?\d{1,15}(\.\d+)?$/D', $text) !== 1) {
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
        if ($places === 0) {
            return (string) $value;
        }
        // Most quantities are whole.
        if ($least === 0 && $value % 10 ** $places === 0) {
            return (string) intdiv($value, 10 ** $places);
        }
        // The digits as text: the least of all integers has no positive counterpart.
        $digits = str_pad(ltrim((string) $value, '-'), $places + 1, '0', STR_PAD_LEFT);
        $whole = ($value < 0 ? '-' : '') . substr($digits, 0, -$places);
        $fraction = str_pad(rtrim(substr($digits, -$places), '0'), $least, '0');

        return $fraction === '' ? $whole : "{$whole}.{$fraction}";
    }

    public static function add(int $a, int $b): int
    {
        $sum = $a + $b;

        // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
        return is_int($sum) ? $sum : throw new \OverflowException('A number becomes too large here to be kept exactly.');
    }

    public static function subtract(int $a, int $b): int
    {
        $difference = $a - $b;

        // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
        return is_int($difference) ? $difference : throw new \OverflowException('A number becomes too large here to be kept exactly.');
    }

    public static function sum(int ...$values): int
    {
        $sum = array_sum($values);

        // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
        return is_int($sum) ? $sum : throw new \OverflowException('A number becomes too large here to be kept exactly.');
    }

    /**
     * Looks at numbers that were added in a loop that has no time for a function at every step: what overflows becomes a float, and
     * stays one.
     *
     * @param  array<int|float>  $numbers
     */
    public static function check(array $numbers): void
    {
        if ($numbers !== [] && (!is_int(max($numbers)) || !is_int(min($numbers)))) {
            throw new \OverflowException('A number becomes too large here to be kept exactly.');
        }
    }

    /** Whether $a × $numerator ÷ $denominator is a whole number. */
    public static function isExact(int $a, int $numerator, int $denominator): bool
    {
        return BigInteger::of($a)->multipliedBy($numerator)->mod($denominator)->isZero();
    }

    /** $a × $numerator ÷ $denominator, rounded half away from zero. */
    public static function scale(int $a, int $numerator, int $denominator): int
    {
        $product = $a * $numerator;
        // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
        if (is_int($product)) {
            $exact = $product / $denominator;
            // Divided without a rest it stays an integer: most are, and are quicker so.
            if (is_int($exact)) {
                return $exact;
            }
            $rest = abs($product % $denominator);
            $whole = intdiv($product, $denominator);

            return $rest < abs($denominator) - $rest ? $whole : $whole + ($product < 0 === $denominator < 0 ? 1 : -1);
        }
        // @phpstan-ignore deadCode.unreachable (reached by products that overflow)
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
