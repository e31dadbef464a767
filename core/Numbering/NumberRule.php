<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Numbering;

use Orthotaxis\Core\Refusal;

/**
 * How numbers of items are made: what stands before (with the part of the category), a counter filled up with zeros, and a
 * check digit if wanted (ISO/IEC 7064, MOD 11,10, over all digits of the number).
 *
 * Of slips in the digits, the check digit catches every single wrong one, always, and of two neighbours swapped 97.8 in a
 * hundred (0 and 1 beside one another are what it may miss).
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
        if (preg_match('/^[A-Z0-9._-]{0,' . self::LONGEST_PREFIX . '}$/D', $prefix) !== 1) {
            $reasons['number_prefix'] = 'At most ' . self::LONGEST_PREFIX . ' capitals, digits, points and dashes.';
        }
        if ($width < 1 || $width > self::WIDEST) {
            $reasons['number_width'] = 'The counter has 1 to ' . self::WIDEST . ' digits.';
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

        return $this->prefix . $digits . ($this->checkDigit ? '-' . self::checkDigit($this->before() . $digits) : '');
    }

    /**
     * Whether a number that has the shape of this rule is mistyped: its check digit does not fit.
     */
    public function isMistyped(string $number): bool
    {
        $digits = $this->digits($number);

        return $digits !== null && self::checkDigit($this->before() . substr($digits, 0, -1)) !== (int) substr($digits, -1);
    }

    /**
     * What somebody may have meant who typed a number that is mistyped: every number that is one wrong digit, or two
     * neighbours swapped, away.
     *
     * @return array<string, int> number => the place of the slip in it, from 1
     */
    public function likely(string $number): array
    {
        $digits = $this->digits($number);
        if ($digits === null || !$this->isMistyped($number)) {
            return [];
        }
        $likely = [];
        $try = function (string $other, int $at) use (&$likely): void {
            $number = $this->prefix . substr($other, 0, -1) . '-' . substr($other, -1);
            if (!$this->isMistyped($number)) {
                // The check digit stands behind a dash.
                $likely[$number] ??= strlen($this->prefix) + $at + ($at === $this->width ? 2 : 1);
            }
        };
        for ($at = 0; $at + 1 < strlen($digits); $at++) {
            $swapped = $digits;
            [$swapped[$at], $swapped[$at + 1]] = [$digits[$at + 1], $digits[$at]];
            $try($swapped, $at);
        }
        for ($at = 0; $at < strlen($digits); $at++) {
            for ($digit = 0; $digit <= 9; $digit++) {
                $try(substr_replace($digits, (string) $digit, $at, 1), $at);
            }
        }

        return $likely;
    }

    /** The digits of counter and check digit of a number of this shape; null for any other text. */
    private function digits(string $number): ?string
    {
        return $this->checkDigit &&
            preg_match('/^' . preg_quote($this->prefix, '/') . '(\d{' . $this->width . '})-(\d)$/D', $number, $read) === 1
            ? $read[1] . $read[2]
            : null;
    }

    /** The digits that stand before the counter, and count for the check digit. */
    private function before(): string
    {
        return (string) preg_replace('/\D/', '', $this->prefix);
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
