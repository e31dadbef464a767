<?php

declare(strict_types=1);

namespace App\SignIn\Events;

use App\Ledger\Deed;

/** Who manages people had somebody mailed the address at which they set their password. */
final readonly class PasswordLinkSent extends Deed
{
    public const NAME = 'person.password_link_sent';
}
