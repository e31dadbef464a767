<?php

declare(strict_types=1);

namespace Orthotaxis\Core\SignIn;

/** Bytes as letters and digits that a person can type (RFC 4648, 6), without filling signs at the end. */
final readonly class Base32
{
    private const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    public static function encode(string $bytes): string
    {
        $bits = '';
        foreach ($bytes === '' ? [] : str_split($bytes) as $byte) {
            $bits .= sprintf('%08b', ord($byte));
        }
        $groups = $bits === '' ? [] : str_split($bits, 5);

        return implode('', array_map(static fn(string $five): string => self::ALPHABET[(int) bindec(str_pad($five, 5, '0'))], $groups));
    }
}
