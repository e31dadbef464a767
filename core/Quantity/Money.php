<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Quantity;

use Orthotaxis\Core\Refusal;

/** An exact amount, kept in ten-thousandths of the currency unit. */
final readonly class Money implements \Stringable
{
    public const PLACES = 4;

    private function __construct(public int $tenThousandths) {}

    public static function ofTenThousandths(int $tenThousandths): self
    {
        return new self($tenThousandths);
    }

    public static function zero(): self
    {
        return new self(0);
    }

    /** @throws Refusal when the text is no decimal number with at most four decimals */
    public static function parse(string $text, string $place = 'amount'): self
    {
        $value = FixedPoint::parse(trim($text), self::PLACES);

        return $value === null
            ? throw Refusal::at($place, 'Write the amount as a number with a point and at most four decimals.')
            : new self($value);
    }

    public function plus(self $other): self
    {
        return new self(FixedPoint::add($this->tenThousandths, $other->tenThousandths));
    }

    public function minus(self $other): self
    {
        return new self(FixedPoint::add($this->tenThousandths, -$other->tenThousandths));
    }

    /** The value of so many at this amount each. */
    public function times(Quantity $quantity): self
    {
        return new self(FixedPoint::scale($this->tenThousandths, $quantity->millionths, Quantity::ONE));
    }

    /** At least two decimals: "12.00", "0.0375". */
    public function __toString(): string
    {
        return FixedPoint::format($this->tenThousandths, self::PLACES, 2);
    }
}
