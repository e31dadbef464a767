<?php

declare(strict_types=1);

namespace App\SignIn\Actions;

use App\Ledger\Ledger;
use App\People\Models\Person;
use App\SignIn\Events\TokenIssued;
use App\SignIn\Events\TokenWithdrawn;
use Carbon\CarbonImmutable;

/** Gives a program a token, with the rights of a person or some of them, or takes it back. */
final readonly class IssueToken
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param  list<string>  $scopes  abilities; ['*']: all of the person's; none: it only reads
     * @return string the token, which nobody can read again
     */
    public function issue(Person $person, string $name, array $scopes, int $days): string
    {
        return $this->ledger->together(static function () use ($person, $name, $scopes, $days): string {
            $ends = CarbonImmutable::now()->addDays($days);
            $token = $person->createToken($name, $scopes, $ends);
            event(new TokenIssued($person->login, $person->login, name: $name, scopes: $scopes, ends: $ends->toDateString()));

            return $token->plainTextToken;
        });
    }

    public function withdraw(Person $by, Person $person, int $id): void
    {
        $this->ledger->together(static function () use ($by, $person, $id): void {
            $token = $person->tokens()->lockForUpdate()->findOrFail($id);
            $token->delete();
            event(new TokenWithdrawn($by->login, $person->login, $token->name));
        });
    }
}
