<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Report;

/** Whether two words are one word with a slip of the fingers: a letter too many, too few, wrong, or two that changed places. */
final readonly class Slip
{
    /** In shorter words one letter makes another word: "lead", "leak", "head". */
    private const SHORTEST = 5;

    /** @param  string  $one  lower case, as $other. The first letter is seldom the wrong one, and "rotor" is no "motor". */
    public static function between(string $one, string $other): bool
    {
        [$a, $b] = [mb_str_split($one), mb_str_split($other)];
        if (min(count($a), count($b)) < self::SHORTEST || abs(count($a) - count($b)) > 1 || $a[0] !== $b[0]) {
            return false;
        }
        $from = 0;
        while (($a[$from] ?? null) === ($b[$from] ?? null)) {
            if (!isset($a[$from])) {
                return false;
            }
            $from++;
        }
        $rest = static fn(string $word, int $after): string => mb_substr($word, $from + $after);

        return $rest($one, 1) === $rest($other, 1) ||
            $rest($one, 1) === $rest($other, 0) ||
            $rest($one, 0) === $rest($other, 1) ||
            (($a[$from] ?? null) === ($b[$from + 1] ?? null) &&
                ($a[$from + 1] ?? null) === ($b[$from] ?? null) &&
                $rest($one, 2) === $rest($other, 2));
    }
}
