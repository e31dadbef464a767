<?php

declare(strict_types=1);

namespace App\SignIn\Events;

use App\Ledger\Deed;

/** Somebody has another password. */
final readonly class PasswordSet extends Deed
{
    public const NAME = 'person.password_set';

    /** @param  bool  $mailed  whether by the address of a mail, in place of the password before */
    public function __construct(string $by, string $of, public bool $mailed)
    {
        parent::__construct($by, $of);
    }
}
