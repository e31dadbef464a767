<?php

declare(strict_types=1);

namespace App\People\Actions;

use App\Http\Stale;
use App\Ledger\Ledger;
use App\People\Events\PersonSet;
use App\People\Models\Person;
use Illuminate\Support\Str;
use Orthotaxis\Core\Refusal;

/** Adds somebody, or sets their name, their address, their roles, and whether they may sign in. */
final readonly class SetPerson
{
    public function __construct(private Ledger $ledger, private ManagersStay $managers) {}

    /**
     * @param  string  $by  sign-in name, or what system does it
     * @param  list<string>  $roles  codes
     * @param  ?int  $version  that was on screen; null: they are new
     *
     * @throws Refusal when somebody has this sign-in name or address already, or nobody could undo it
     * @throws Stale when somebody has changed it since that version
     */
    public function __invoke(string $by, string $login, string $name, string $email, array $roles, bool $active, ?int $version): Person
    {
        return $this->ledger->together(function () use ($by, $login, $name, $email, $roles, $active, $version): Person {
            $this->managers->locked();
            $person = Person::query()->where('login', $login)->lockForUpdate()->first();
            if ($version === null && $person !== null) {
                throw Refusal::at('login', "{$person->name} signs in as {$login} already.");
            }
            if ($version !== null) {
                $person ?? abort(404);
                if ($person->version !== $version) {
                    throw new Stale('Somebody has changed it meanwhile.', ['name' => $person->name]);
                }
            }
            $same = Person::query()
                ->whereRaw('lower(email) = ?', [Str::lower($email)])
                ->where('login', '!=', $login)
                ->first();
            $same === null || throw Refusal::at('email', "{$same->name} has this address.");
            // Nobody knows the first password: whoever is new chooses one by the mail that invites them.
            $person ??= new Person(['login' => $login, 'version' => 0, 'password' => Str::random(64)]);
            $person
                ->fill(['name' => $name, 'email' => $email, 'roles' => $roles, 'active' => $active, 'version' => $person->version + 1])
                ->save();
            $this->managers->check('roles');
            event(new PersonSet($by, $login, name: $name, email: $email, roles: $roles, active: $active));

            return $person;
        });
    }
}
