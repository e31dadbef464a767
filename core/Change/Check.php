<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

/** One condition for the next state: met, or not and why, with the place where it can be put right. */
final readonly class Check
{
    public function __construct(public string $name, public bool $met, public string $reason = '', public string $place = '') {}

    public static function that(string $name, bool $met, string $otherwise, string $place): self
    {
        return new self($name, $met, $met ? '' : $otherwise, $met ? '' : $place);
    }
}
