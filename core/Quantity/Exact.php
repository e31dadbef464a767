<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Quantity;

use Brick\Math\BigRational;
use Brick\Math\Exception\MathException;
use Brick\Math\RoundingMode;
use Orthotaxis\Core\Refusal;

/**
 * A quantity that is multiplied through levels and compared to its last digit, where a Quantity would be rounded to millionths: a whole
 * number and how many of its digits stand after the point. What does not fit 64 bits is an error, never a guess.
 */
final readonly class Exact implements \Stringable
{
    private function __construct(private int $digits, private int $places) {}

    public static function zero(): self
    {
        /** @var ?self $zero */
        static $zero = null;

        return $zero ??= new self(0, 0);
    }

    public static function of(Quantity $quantity): self
    {
        return self::reduced($quantity->millionths, Quantity::PLACES);
    }

    public static function whole(int $number): self
    {
        return self::reduced($number, 0);
    }

    /** @throws Refusal when it has too many digits to be exact */
    public function times(self $other): self
    {
        // Most is so many of one.
        return match (true) {
            $other->digits === 1 && $other->places === 0 => $this,
            $this->digits === 1 && $this->places === 0 => $other,
            default => self::reduced($this->digits * $other->digits, $this->places + $other->places),
        };
    }

    /** @throws Refusal when it has too many digits to be exact */
    public function plus(self $other): self
    {
        if ($this->places === $other->places) {
            return self::reduced($this->digits + $other->digits, $this->places);
        }
        $places = max($this->places, $other->places);

        return self::reduced($this->digits * 10 ** ($places - $this->places) + $other->digits * 10 ** ($places - $other->places), $places);
    }

    /** @throws Refusal when it has too many digits to be exact */
    public function minus(self $other): self
    {
        return match (true) {
            $this->places !== $other->places => $this->plus(new self(-$other->digits, $other->places)),
            $this->digits === $other->digits => self::zero(),
            default => self::reduced($this->digits - $other->digits, $this->places),
        };
    }

    /** Rounded to millionths, half away from zero, where it does not come out even. */
    public function over(self $other): self
    {
        $fraction = BigRational::of("{$this}")->dividedBy("{$other}");
        try {
            return self::reduced(
                $fraction->toScale(Quantity::PLACES, RoundingMode::HALF_UP)->getUnscaledValue()->toInt(),
                Quantity::PLACES,
            );
        } catch (MathException) {
            return self::reduced(INF, 0);
        }
    }

    /** @throws Refusal when the two units do not measure the same thing */
    public function in(Unit $from, Unit $to): self
    {
        return $from === $to ? $this : $this->times(self::reduced($from->thousandthsIn($to), 3));
    }

    /** -1, 0 or 1. */
    public function sign(): int
    {
        return $this->digits <=> 0;
    }

    public function equals(self $other): bool
    {
        return $this->digits === $other->digits && $this->places === $other->places;
    }

    public function __toString(): string
    {
        return FixedPoint::format($this->digits, $this->places);
    }

    /** Most are a few of something: each of these is made once. */
    private static function few(int $number): self
    {
        /** @var array<int, self> $made */
        static $made = [];

        return $number < 0 || $number > 999 ? new self($number, 0) : ($made[$number] ??= new self($number, 0));
    }

    /** @param  int|float  $digits  a float where PHP could not keep it whole */
    private static function reduced(int|float $digits, int $places): self
    {
        if (is_float($digits)) {
            throw Refusal::at('quantity', 'The quantity has too many digits to be reckoned exactly through all levels.');
        }
        if ($places === Quantity::PLACES && $digits % Quantity::ONE === 0) {
            return self::few(intdiv($digits, Quantity::ONE));
        }
        while ($places > 0 && $digits % 10 === 0) {
            $digits = intdiv($digits, 10);
            $places--;
        }

        return new self($digits, $places);
    }
}
