<?php

declare(strict_types=1);

namespace App\Tables;

/** The cases of an enum as a list in a question: ('revising', 'in_review'). */
final readonly class Quoted
{
    /** @param  list<\BackedEnum>  $cases  of texts that are words */
    public static function cases(array $cases): string
    {
        return "('" . implode("', '", array_column($cases, 'value')) . "')";
    }
}
