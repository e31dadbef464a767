<?php

declare(strict_types=1);

namespace App\SignIn\Events;

use App\Ledger\Deed;

/** Somebody signed in by a provider for the first time. */
final readonly class IdentityLinked extends Deed
{
    public const NAME = 'person.identity_linked';

    public function __construct(string $by, string $of, public string $issuer, public string $subject)
    {
        parent::__construct($by, $of);
    }
}
