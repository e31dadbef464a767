<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Adjacency;

/**
 * The days a line holds and whether it is a phantom, in one integer, so that a million lines fit in a few dozen megabytes
 * and a day is checked with two comparisons: bit 40 is the phantom, bits 20 to 39 the first day, bits 0 to 19 the day it ends.
 * Days are counted from 1970-01-01.
 */
final readonly class Span
{
    public const EVER = 0xfffff;

    public const PHANTOM = 1 << 40;

    public static function of(?int $from, ?int $to, bool $phantom = false): int
    {
        return ($phantom ? self::PHANTOM : 0) | (max(0, $from ?? 0) << 20) | min(self::EVER, $to ?? self::EVER);
    }

    public static function holdsOn(int $span, int $day): bool
    {
        return (($span >> 20) & self::EVER) <= $day && ($span & self::EVER) > $day;
    }
}
