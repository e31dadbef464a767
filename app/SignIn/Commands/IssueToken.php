<?php

declare(strict_types=1);

namespace App\SignIn\Commands;

use App\People\Models\Person;
use App\SignIn\Actions\IssueToken as Tokens;
use App\SignIn\Http\NewTokenRule;
use Illuminate\Console\Command;

final class IssueToken extends Command
{
    protected $signature = 'token:issue {login : whose rights the program gets} {name : what the program is called} {--days=365 : after how many days it ends, at most 730}';

    protected $description = 'Give a program a bearer token for the API. It is shown once.';

    public function handle(Tokens $tokens): int
    {
        $login = (string) $this->input->getArgument('login');
        $person = Person::query()->where('login', $login)->first();
        if ($person === null) {
            $this->error("Nobody here signs in as {$login}.");

            return self::FAILURE;
        }
        $days = (int) $this->input->getOption('days');
        if ($days < 1 || $days > NewTokenRule::LONGEST) {
            $this->error('A token lasts from 1 to ' . NewTokenRule::LONGEST . ' days.');

            return self::FAILURE;
        }
        $this->line($tokens->issue($person, (string) $this->input->getArgument('name'), ['*'], $days));

        return self::SUCCESS;
    }
}
