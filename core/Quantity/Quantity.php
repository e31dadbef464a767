<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Quantity;

use Orthotaxis\Core\Refusal;

/** An exact quantity, kept in millionths of its unit. */
final readonly class Quantity implements \Stringable
{
    public const PLACES = 6;

    public const ONE = 1_000_000;

    private function __construct(public int $millionths) {}

    public static function ofMillionths(int $millionths): self
    {
        return new self($millionths);
    }

    public static function one(): self
    {
        return new self(self::ONE);
    }

    /** @throws Refusal when the text is no decimal number with at most six decimals */
    public static function parse(string $text, string $place = 'quantity'): self
    {
        $millionths = FixedPoint::parse(trim($text), self::PLACES);

        return $millionths === null
            ? throw Refusal::at($place, 'Write the quantity as a number with a point and at most six decimals, such as 2 or 0.25.')
            : new self($millionths);
    }

    public function isPositive(): bool
    {
        return $this->millionths > 0;
    }

    public function equals(self $other): bool
    {
        return $this->millionths === $other->millionths;
    }

    public function plus(self $other): self
    {
        return new self(FixedPoint::add($this->millionths, $other->millionths));
    }

    public function minus(self $other): self
    {
        return new self(FixedPoint::add($this->millionths, -$other->millionths));
    }

    /** The quantity of a component in so many of its parent. */
    public function times(self $other): self
    {
        return new self(FixedPoint::scale($this->millionths, $other->millionths, self::ONE));
    }

    public function __toString(): string
    {
        return FixedPoint::format($this->millionths, self::PLACES);
    }
}
