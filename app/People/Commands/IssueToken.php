<?php

declare(strict_types=1);

namespace App\People\Commands;

use App\People\Models\Person;
use Illuminate\Console\Command;

final class IssueToken extends Command
{
    protected $signature = 'token:issue {login : whose rights the program gets} {name : what the program is called}';

    protected $description = 'Give a program a bearer token for the API. It is shown once.';

    public function handle(): int
    {
        $login = (string) $this->input->getArgument('login');
        $person = Person::query()->where('login', $login)->first();
        if ($person === null) {
            $this->error("Nobody here signs in as {$login}.");

            return self::FAILURE;
        }
        $this->line($person->createToken((string) $this->input->getArgument('name'))->plainTextToken);

        return self::SUCCESS;
    }
}
