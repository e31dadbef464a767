<?php

declare(strict_types=1);

namespace App\SignIn\Events;

use App\Ledger\Deed;

/** A program's token counts no more. */
final readonly class TokenWithdrawn extends Deed
{
    public const NAME = 'token.withdrawn';

    public function __construct(string $by, string $of, public string $name)
    {
        parent::__construct($by, $of);
    }
}
