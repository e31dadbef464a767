<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Edit;

/** Where two edits of one structure cannot both be kept without somebody choosing. */
final readonly class Conflict
{
    /** @return list<string> the fields that both touch; empty where both can be kept */
    public static function between(Edit $one, Edit $other): array
    {
        return $one->line() === $other->line() ? array_values(array_intersect($one->touches(), $other->touches())) : [];
    }
}
