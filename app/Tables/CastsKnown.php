<?php

declare(strict_types=1);

namespace App\Tables;

/**
 * For models of which there are hundreds in one answer. Eloquent puts the casts of a model together anew whenever one of its attributes
 * is looked at; they are the same for all of its kind.
 */
trait CastsKnown
{
    /** @var array<string, string>|null */
    private static ?array $castsKnown = null;

    /** @return array<string, string> */
    public function getCasts(): array
    {
        return self::$castsKnown ??= parent::getCasts();
    }
}
