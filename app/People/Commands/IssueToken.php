<?php

declare(strict_types=1);

namespace App\People\Commands;

use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;

final class IssueToken extends Command
{
    private const LONGEST = 730;

    protected $signature = 'token:issue {login : whose rights the program gets} {name : what the program is called} {--days=365 : after how many days it ends, at most 730}';

    protected $description = 'Give a program a bearer token for the API. It is shown once.';

    public function handle(): int
    {
        $login = (string) $this->input->getArgument('login');
        $person = Person::query()->where('login', $login)->first();
        if ($person === null) {
            $this->error("Nobody here signs in as {$login}.");

            return self::FAILURE;
        }
        $days = (int) $this->input->getOption('days');
        if ($days < 1 || $days > self::LONGEST) {
            $this->error('A token lasts from 1 to ' . self::LONGEST . ' days.');

            return self::FAILURE;
        }
        $this->line(
            $person->createToken((string) $this->input->getArgument('name'), ['*'], CarbonImmutable::now()->addDays($days))->plainTextToken,
        );

        return self::SUCCESS;
    }
}
