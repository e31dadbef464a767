<?php

declare(strict_types=1);

namespace App\People\Models;

use App\People\Ability;
use App\People\Role;
use Illuminate\Foundation\Auth\User;
use Laravel\Sanctum\HasApiTokens;

/**
 * @property int $id
 * @property string $login
 * @property string $name
 * @property string $email
 * @property string $password
 * @property list<string> $roles
 * @property bool $active
 * @property array<string, array{order: list<string>, visibility: array<string, bool>, sizing: array<string, int>}> $table_layouts
 */
final class Person extends User
{
    /** @use HasApiTokens<\Laravel\Sanctum\PersonalAccessToken> */
    use HasApiTokens;

    protected $table = 'people';

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['roles' => 'array', 'active' => 'boolean', 'table_layouts' => 'array', 'password' => 'hashed'];

    public function mayDo(Ability $ability): bool
    {
        if (! $this->active) {
            return false;
        }
        foreach ($this->roles as $role) {
            if (in_array($ability, (array) config("abilities.{$role}"), true)) {
                return true;
            }
        }

        return false;
    }

    public function has(Role $role): bool
    {
        return in_array($role->value, $this->roles, true);
    }
}
