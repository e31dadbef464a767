<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Text;

/**
 * Text in a table that a spreadsheet opens. What it would take for a formula is written with an apostrophe in front, which goes
 * again when the table is read; a text that has apostrophes before a formula of its own gets one more, so that every text comes
 * back as it was. Numbers are left alone.
 */
final readonly class SpreadsheetText
{
    private const FORMULA = "/^'*[=+\\-@\\t\\r\u{FF1D}\u{FF0B}\u{FF0D}\u{FF20}]/u";

    /** What one can begin with; most texts do not. */
    private const BEGINS = "'=+-@\t\r\xEF";

    public static function written(string $text): string
    {
        return strspn($text, self::BEGINS, 0, 1) === 1 &&
            preg_match(self::FORMULA, $text) === 1 &&
            preg_match('/^-?\d+(\.\d+)?$/D', $text) !== 1
            ? "'{$text}"
            : $text;
    }

    public static function read(string $text): string
    {
        return str_starts_with($text, "'") && preg_match(self::FORMULA, $text) === 1 ? substr($text, 1) : $text;
    }
}
