<?php

declare(strict_types=1);

namespace App\SignIn\Actions;

use App\Ledger\Ledger;
use App\People\Models\Person;
use App\SignIn\Events\IdentityLinked;
use App\SignIn\OpenId\Identity;
use App\SignIn\OpenId\NotSignedIn;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Finds whose identity at a provider it is. The first time by the address of their mails, if the provider has checked that it is theirs;
 * from then on by the subject, which never changes. Nobody is added by signing in: who is not set up here is not let in.
 */
final readonly class KnowIdentity
{
    public function __construct(private Ledger $ledger) {}

    /** @throws NotSignedIn when nobody here is meant */
    public function __invoke(Identity $identity): Person
    {
        $known = DB::table('identities')->where('issuer', $identity->issuer)->where('subject', $identity->subject)->value('person_id');
        if ($known !== null) {
            return Person::query()->where('active', true)->where('id', $known)->first() ??
                throw new NotSignedIn(NotSignedIn::UNKNOWN, "{$identity->subject} may not sign in any more.");
        }
        $same =
            $identity->isEmailVerified && $identity->email !== ''
                ? Person::query()
                    ->where('active', true)
                    ->whereRaw('lower(email) = ?', [Str::lower($identity->email)])
                    ->get()
                : collect();
        if ($same->count() !== 1) {
            throw new NotSignedIn(NotSignedIn::UNKNOWN, "{$identity->email} is nobody's here, or of several.");
        }
        $person = $same->firstOrFail();
        $this->ledger->together(static function () use ($identity, $person): void {
            // Twice at once is once.
            $linked = DB::table('identities')->insertOrIgnore([
                'issuer' => $identity->issuer,
                'subject' => $identity->subject,
                'person_id' => $person->id,
            ]);
            if ($linked === 1) {
                event(new IdentityLinked($person->login, $person->login, issuer: $identity->issuer, subject: $identity->subject));
            }
        });

        return $person;
    }
}
