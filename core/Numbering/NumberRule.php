<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Numbering;

use Orthotaxis\Core\Refusal;

/**
 * How numbers of items are made: what stands before (with the part of the category), a counter filled up with zeros, and a
 * check digit if wanted, so that a digit mistyped or two swapped are noticed.
 */
final readonly class NumberRule
{
    public const LONGEST_PREFIX = 20;

    public const WIDEST = 12;

    private function __construct(public string $prefix, public int $width, public bool $checkDigit) {}

    /** @throws Refusal naming every field that cannot be so */
    public static function of(string $prefix, int $width, bool $checkDigit): self
    {
        $reasons = [];
        if (preg_match('/^[A-Z0-9._-]{0,'.self::LONGEST_PREFIX.'}$/', $prefix) !== 1) {
            $reasons['number_prefix'] = 'At most '.self::LONGEST_PREFIX.' capitals, digits, points and dashes.';
        }
        if ($width < 1 || $width > self::WIDEST) {
            $reasons['number_width'] = 'The counter has 1 to '.self::WIDEST.' digits.';
        }

        return $reasons === [] ? new self($prefix, $width, $checkDigit) : throw Refusal::because($reasons);
    }

    /** @throws Refusal when the counter has no more numbers of that width */
    public function number(int $counter): string
    {
        $digits = str_pad((string) $counter, $this->width, '0', STR_PAD_LEFT);
        if (strlen($digits) > $this->width) {
            throw Refusal::at('category', "The numbers {$this->prefix}… are used up. An administrator can make the counter wider.");
        }

        return $this->prefix.$digits.($this->checkDigit ? '-'.self::checkDigit((string) preg_replace('/\D/', '', $this->prefix).$digits) : '');
    }

    /** The check digit of ISO/IEC 7064, MOD 11,10, over the digits of a number. */
    public static function checkDigit(string $digits): int
    {
        $product = 10;
        foreach (str_split($digits) as $digit) {
            $sum = ((int) $digit + $product) % 10;
            $product = (($sum === 0 ? 10 : $sum) * 2) % 11;
        }

        return (11 - $product) % 10;
    }
}
