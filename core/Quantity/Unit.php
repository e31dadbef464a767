<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Quantity;

use Orthotaxis\Core\Refusal;

/**
 * Units of measure an item or a line may be counted in, by the codes of UN/ECE Recommendation 20 where people on the
 * floor know them and by everyday signs where they do not.
 */
enum Unit: string
{
    case Piece = 'pc';
    case Pair = 'pair';
    case Metre = 'm';
    case Millimetre = 'mm';
    case Kilogram = 'kg';
    case Gram = 'g';
    case Litre = 'l';
    case Millilitre = 'ml';
    case SquareMetre = 'm2';
    case Sheet = 'sheet';

    public function dimension(): Dimension
    {
        return match ($this) {
            self::Piece, self::Pair, self::Sheet => Dimension::Count,
            self::Metre, self::Millimetre => Dimension::Length,
            self::Kilogram, self::Gram => Dimension::Mass,
            self::Litre, self::Millilitre => Dimension::Volume,
            self::SquareMetre => Dimension::Area,
        };
    }

    /** How many thousandths of the dimension's first unit one of this is. */
    private function thousandths(): int
    {
        return match ($this) {
            self::Millimetre, self::Gram, self::Millilitre => 1,
            self::Pair => 2_000,
            default => 1_000,
        };
    }

    /** Whole things cannot be used by halves. */
    public function countsWhole(): bool
    {
        return $this->dimension() === Dimension::Count;
    }

    /** @throws Refusal when the unit is not one we know */
    public static function parse(string $code, string $place = 'unit'): self
    {
        return self::tryFrom(trim($code)) ??
            throw Refusal::at(
                $place,
                sprintf('"%s" is no unit in use here. Use one of %s.', $code, implode(', ', array_column(self::cases(), 'value'))),
            );
    }

    public function measuresLike(self $other): bool
    {
        return $this === $other || ($this->dimension() === $other->dimension() && ($this === self::Sheet) === ($other === self::Sheet));
    }

    /**
     * How many thousandths of the other one of this is: a whole number for any two that measure the same.
     *
     * @throws Refusal when the two units do not measure the same thing
     */
    public function thousandthsIn(self $to): int
    {
        return $this->measuresLike($to)
            ? intdiv($this->thousandths() * 1_000, $to->thousandths())
            : throw Refusal::at('unit', "{$this->value} cannot be converted to {$to->value}.");
    }

    /** @throws Refusal when the two units do not measure the same thing */
    public function convert(Quantity $quantity, self $to): Quantity
    {
        if ($this === $to) {
            return $quantity;
        }
        if (!$this->measuresLike($to)) {
            throw Refusal::at('unit', "{$this->value} cannot be converted to {$to->value}.");
        }

        return Quantity::ofMillionths(FixedPoint::scale($quantity->millionths, $this->thousandths(), $to->thousandths()));
    }
}
