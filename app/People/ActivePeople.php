<?php

declare(strict_types=1);

namespace App\People;

use App\People\Models\Person;
use Illuminate\Auth\EloquentUserProvider;
use Illuminate\Contracts\Auth\Authenticatable;

/** Finds who is behind a session: nobody who has been deactivated, however long the session still lasts. */
final class ActivePeople extends EloquentUserProvider
{
    public function retrieveById($identifier): ?Person
    {
        return self::active(parent::retrieveById($identifier));
    }

    public function retrieveByToken($identifier, $token): ?Person
    {
        return self::active(parent::retrieveByToken($identifier, $token));
    }

    /** @param  array<string, mixed>  $credentials */
    public function retrieveByCredentials(array $credentials): ?Person
    {
        return self::active(parent::retrieveByCredentials($credentials));
    }

    private static function active(?Authenticatable $person): ?Person
    {
        return $person instanceof Person && $person->active ? $person : null;
    }
}
