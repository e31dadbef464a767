<?php

declare(strict_types=1);

namespace App\SignIn\Commands;

use App\People\Actions\SetPerson;
use App\People\Rights;
use App\SignIn\PasswordAddress;
use Illuminate\Auth\Passwords\PasswordBroker;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Password;
use Orthotaxis\Core\Refusal;

final class AddPerson extends Command
{
    protected $signature = 'person:add {login} {name} {email} {role : code, such as administrator}';

    protected $description = 'Add somebody, such as the first administrator, and print the address at which they choose their password.';

    public function handle(SetPerson $action, Rights $rights): int
    {
        [$login, $name, $email, $role] = array_map(fn(string $argument): string => (string) $this->input->getArgument($argument), [
            'login',
            'name',
            'email',
            'role',
        ]);
        if ($rights->name($role) === null) {
            $this->error("There is no role {$role}.");

            return self::FAILURE;
        }
        try {
            $person = $action('console', $login, name: $name, email: $email, roles: [$role], active: true, version: null);
        } catch (Refusal $refusal) {
            $this->error($refusal->getMessage());

            return self::FAILURE;
        }
        /** @var PasswordBroker $broker */
        $broker = Password::broker('people');
        $this->line(PasswordAddress::of($person, $broker->createToken($person)));

        return self::SUCCESS;
    }
}
