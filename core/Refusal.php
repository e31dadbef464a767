<?php

declare(strict_types=1);

namespace Orthotaxis\Core;

/**
 * Something asked for breaks a rule of the trade and is refused whole.
 *
 * Each reason names its place (a field, a row, a path) and says in a coordinator's words what is wrong.
 */
final class Refusal extends \DomainException
{
    /** @param  non-empty-array<string, string>  $reasons place => reason */
    private function __construct(public readonly array $reasons)
    {
        parent::__construct(implode(' ', $reasons));
    }

    public static function at(string $place, string $reason): self
    {
        return new self([$place => $reason]);
    }

    /** @param  non-empty-array<string, string>  $reasons place => reason */
    public static function because(array $reasons): self
    {
        return new self($reasons);
    }
}
