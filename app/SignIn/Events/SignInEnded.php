<?php

declare(strict_types=1);

namespace App\SignIn\Events;

use App\Ledger\Deed;

/** A sign-in was ended from elsewhere. */
final readonly class SignInEnded extends Deed
{
    public const NAME = 'person.sign_in_ended';

    /** @param  string  $from  network address that it came from */
    public function __construct(string $by, string $of, public string $from)
    {
        parent::__construct($by, $of);
    }
}
