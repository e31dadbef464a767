<?php

declare(strict_types=1);

namespace App\People\Models;

use App\People\Ability;
use App\People\Role;
use Illuminate\Foundation\Auth\User;
use Illuminate\Support\Facades\DB;
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

    protected static function booted(): void
    {
        // A new password, or no right to be here, ends what was opened before: programs' tokens and sessions alike.
        self::updated(static function (self $person): void {
            if ($person->wasChanged('password') || ($person->wasChanged('active') && !$person->active)) {
                $person->tokens()->delete();
                if (config('session.driver') === 'database') {
                    DB::table('sessions')->where('user_id', $person->id)->delete();
                }
            }
        });
    }

    public function mayDo(Ability $ability): bool
    {
        if (!$this->active) {
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
