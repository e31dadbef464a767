<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Sheet;

/**
 * The size of a sheet in millimetres, and its zones (ISO 5457): fields of 50 mm counted from the middle, letters from above without I and
 * O, numbers from the left. An A3 sheet has A to F and 1 to 8; the title block of it stands in F8.
 */
final readonly class SheetSize
{
    private const FIELD = 50.0;

    private const LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ';

    public function __construct(public float $width, public float $height) {}

    /** As "B3". What lies in the margin belongs to the field beside it. */
    public function zone(float $x, float $y): string
    {
        return self::letters(self::field($y, $this->height)) . (self::field($x, $this->width) + 1);
    }

    /** @return ?array{float, float} the middle of a zone; null: the sheet has none of that name */
    public function middle(string $zone): ?array
    {
        for ($y = 0; $y < 2 * self::half($this->height); $y++) {
            for ($x = 0; $x < 2 * self::half($this->width); $x++) {
                if ($zone === self::letters($y) . ($x + 1)) {
                    return [self::middleOf($x, $this->width), self::middleOf($y, $this->height)];
                }
            }
        }

        return null;
    }

    /** Whether two sheets are as large, to a millimetre. */
    public function equals(self $other): bool
    {
        return abs($this->width - $other->width) < 1 && abs($this->height - $other->height) < 1;
    }

    private static function field(float $at, float $size): int
    {
        $half = self::half($size);

        return max(0, min(2 * $half - 1, $half + (int) floor(($at - $size / 2) / self::FIELD)));
    }

    /** Fields on either side of the middle. */
    private static function half(float $size): int
    {
        return max(1, (int) round($size / self::FIELD / 2));
    }

    /** Of the fields at the edge, what of them is on the sheet. */
    private static function middleOf(int $field, float $size): float
    {
        $from = $size / 2 + ($field - self::half($size)) * self::FIELD;

        return (max(0, $from) + min($size, $from + self::FIELD)) / 2;
    }

    /** A to Z without I and O, then AA, AB and so on. */
    private static function letters(int $field): string
    {
        $count = strlen(self::LETTERS);

        return ($field >= $count ? self::LETTERS[intdiv($field, $count) - 1] : '') . self::LETTERS[$field % $count];
    }
}
