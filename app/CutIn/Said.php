<?php

declare(strict_types=1);

namespace App\CutIn;

/** What the question says of one part, in place of what is assumed. */
final readonly class Said
{
    /** @param  array<string, mixed>  $of  as AsksCutIn checks it; what is empty is not said */
    public function __construct(private array $of = []) {}

    public function text(string $name): ?string
    {
        $said = $this->of[$name] ?? null;

        return is_string($said) && $said !== '' ? $said : null;
    }

    public function yes(string $name): ?bool
    {
        $said = $this->of[$name] ?? null;

        return $said === null || $said === '' ? null : filter_var($said, FILTER_VALIDATE_BOOLEAN);
    }

    public function whole(string $name): ?int
    {
        $said = $this->of[$name] ?? null;

        return is_int($said) ? $said : (is_string($said) && $said !== '' ? (int) $said : null);
    }
}
