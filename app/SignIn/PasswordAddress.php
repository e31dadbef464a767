<?php

declare(strict_types=1);

namespace App\SignIn;

use App\People\Models\Person;

/** Where somebody sets their password. What makes it theirs stands in the fragment: no server on the way writes it down. */
final readonly class PasswordAddress
{
    public static function of(Person $person, #[\SensitiveParameter] string $token): string
    {
        return url('/new-password') . '#' . http_build_query(['login' => $person->login, 'token' => $token]);
    }
}
