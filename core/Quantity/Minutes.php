<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Quantity;

use Orthotaxis\Core\Refusal;

/** An exact time, kept in thousandths of a minute; never less than nothing. */
final readonly class Minutes implements \Stringable
{
    public const PLACES = 3;

    public function __construct(public int $thousandths = 0) {}

    /** @throws Refusal when the text is no decimal number with at most three decimals, or below zero */
    public static function parse(string $text, string $place = 'minutes'): self
    {
        $value = FixedPoint::parse(trim($text), self::PLACES);

        return $value === null || $value < 0
            ? throw Refusal::at($place, 'Write minutes as a number from 0 with a point and at most three decimals, such as 12 or 1.5.')
            : new self($value);
    }

    public function plus(self $other): self
    {
        return new self(FixedPoint::add($this->thousandths, $other->thousandths));
    }

    /** The share of one unit where so many are made at once. */
    public function over(Quantity $batch): self
    {
        return new self(FixedPoint::scale($this->thousandths, Quantity::ONE, $batch->millionths));
    }

    public function times(Quantity $quantity): self
    {
        return new self(FixedPoint::scale($this->thousandths, $quantity->millionths, Quantity::ONE));
    }

    public function __toString(): string
    {
        return FixedPoint::format($this->thousandths, self::PLACES);
    }
}
