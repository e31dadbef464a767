<?php

declare(strict_types=1);

namespace App\People\Models;

use App\People\Ability;
use App\People\Rights;
use App\Tables\ReadOften;
use Illuminate\Foundation\Auth\User;
use Illuminate\Support\Facades\DB;
use Laravel\Sanctum\HasApiTokens;
use Laravel\Sanctum\PersonalAccessToken;
use Orthotaxis\Core\Refusal;

/**
 * @property int $id
 * @property string $login
 * @property string $name
 * @property string $email
 * @property string $password
 * @property list<string> $roles
 * @property bool $active
 * @property int $version
 * @property array<string, array{order: list<string>, visibility: array<string, bool>, sizing: array<string, int>}> $table_layouts
 */
final class Person extends User
{
    /** @use HasApiTokens<\Laravel\Sanctum\PersonalAccessToken> */
    use HasApiTokens;

    use ReadOften;

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

    /** Two people may share an address; a mail that sets a password is for one of them. */
    public function getEmailForPasswordReset(): string
    {
        return $this->login;
    }

    /** @param  ?string  $of  number of the change or item with which they would do it; null: of none, or of one that only begins */
    public function mayDo(Ability $ability, ?string $of = null): bool
    {
        $token = $this->currentAccessToken();

        return $this->active &&
            (!($token instanceof PersonalAccessToken) || $token->can($ability->value)) &&
            app(Rights::class)->allow($this->roles, $ability, $of);
    }

    /**
     * What is begun is of no number yet when it is asked whether they may: of what plant and which items it is, is known when it is there.
     *
     * @param  string  $of  number of what they have just made, in the same transaction
     * @param  string  $place  where the reason is told
     *
     * @throws Refusal when their roles allow it elsewhere alone
     */
    public function mustKeepTo(Ability $ability, string $of, string $place): void
    {
        if ($this->mayDo($ability) && !$this->mayDo($ability, $of)) {
            throw Refusal::at($place, 'Your role does not allow this for this plant or these items.');
        }
    }

    /** @param  string  $role  code */
    public function has(string $role): bool
    {
        return in_array($role, $this->roles, true);
    }
}
