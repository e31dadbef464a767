<?php

declare(strict_types=1);

namespace App\Http;

/** Somebody else saved first. Nothing of the later save is kept; the answer carries both sides. */
final class Stale extends \RuntimeException
{
    /**
     * @param  array<string, string>  $theirs  what is there now, by field
     */
    public function __construct(string $message, public readonly array $theirs = [])
    {
        parent::__construct($message);
    }
}
