<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Text;

/** One row of a CSV file as RFC 4180 has it: comma, double quotes, CRLF. What a spreadsheet would take for a formula stays a text. */
final readonly class CsvRow
{
    /** @param  array<string|int|null>  $cells */
    public static function of(array $cells): string
    {
        return implode(',', array_map(self::cell(...), $cells)) . "\r\n";
    }

    private static function cell(string|int|null $value): string
    {
        if (!is_string($value)) {
            return (string) $value;
        }
        $text = SpreadsheetText::written($value);

        return strpbrk($text, "\",\r\n") !== false ? '"' . str_replace('"', '""', $text) . '"' : $text;
    }
}
