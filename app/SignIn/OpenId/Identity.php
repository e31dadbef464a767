<?php

declare(strict_types=1);

namespace App\SignIn\OpenId;

/** Who somebody is, as a provider says and has signed. */
final readonly class Identity
{
    public function __construct(public string $issuer, public string $subject, public string $email, public bool $isEmailVerified) {}
}
