<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Notice;

/** The sign-in names that a text names: @mira.okafor. A name ends before a full stop that ends the sentence. */
final readonly class Mentions
{
    /** @return list<string> each once, in the order of the text; whether there are such people is for others to know */
    public static function in(string $text): array
    {
        preg_match_all('/(?<![\w.@])@([a-z0-9]+(?:[._-][a-z0-9]+)*)/i', $text, $found);

        return array_values(array_unique(array_map(mb_strtolower(...), $found[1])));
    }
}
