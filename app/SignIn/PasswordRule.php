<?php

declare(strict_types=1);

namespace App\SignIn;

use App\People\Models\Person;
use Illuminate\Support\Str;

/**
 * What a password must be: long, and nothing that is guessed first (NIST SP 800-63B, 5.1.1.2). Nothing else is asked of it: no signs of
 * several kinds, no new one every quarter.
 */
final readonly class PasswordRule
{
    /** As many bytes as the digest of it takes in; what is beyond would not count. */
    private const LONGEST = 72;

    /** Different signs that are needed. */
    private const SIGNS = 5;

    /** @return ?string what is wrong with it; null for nothing */
    public static function fault(#[\SensitiveParameter] string $password, Person $person): ?string
    {
        $least = config()->integer('security.password_length');
        $plain = Str::lower($password);
        $names = array_filter(
            [...explode('.', $person->login), ...explode(' ', Str::lower($person->name)), 'orthotaxis'],
            static fn(string $name): bool => Str::length($name) > 3,
        );

        return match (true) {
            Str::length($password) < $least => "At least {$least} characters.",
            strlen($password) > self::LONGEST => 'At most ' . self::LONGEST . ' characters.',
            count(array_unique(mb_str_split($plain))) < self::SIGNS => 'Too few different characters.',
            Str::contains($plain, $names) => 'Not with your name in it.',
            default => null,
        };
    }
}
