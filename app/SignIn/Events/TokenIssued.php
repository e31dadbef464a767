<?php

declare(strict_types=1);

namespace App\SignIn\Events;

use App\Ledger\Deed;

/** A program got a token, with the rights of a person or some of them. */
final readonly class TokenIssued extends Deed
{
    public const NAME = 'token.issued';

    /** @param  list<string>  $scopes  abilities; ['*']: all of the person's */
    public function __construct(string $by, string $of, public string $name, public array $scopes, public string $ends)
    {
        parent::__construct($by, $of);
    }
}
