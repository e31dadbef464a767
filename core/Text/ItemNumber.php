<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Text;

/**
 * The form of an item number, whoever gave it: it begins with a letter or digit and goes on with these, points, hyphens and
 * underscores, so that it stands in an address, a file name and a table as it is. Two points never follow one another.
 */
final readonly class ItemNumber
{
    public const LONGEST = 60;

    /** @return ?string what is wrong with it, as a sentence; null when nothing is */
    public static function fault(string $number): ?string
    {
        return match (true) {
            Readable::fault($number) !== null => Readable::fault($number),
            preg_match('/^.{1,' . self::LONGEST . '}$/uD', $number) !== 1 => 'A number has 1 to ' . self::LONGEST . ' characters.',
            preg_match('/^[\p{L}\p{N}][\p{L}\p{N}._-]*$/uD', $number) !== 1 || str_contains($number, '..')
                => 'A number has letters, digits, points, hyphens and underscores only, and begins with a letter or digit.',
            default => null,
        };
    }
}
