<?php

declare(strict_types=1);

namespace App\SignIn\Http;

use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Ledger\Ledger;
use App\People\Models\Person;
use App\SignIn\Events\PasswordSet;
use App\SignIn\Jobs\SendPasswordLink;
use App\SignIn\PasswordRule;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Password;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Refusal;

/** Passwords: another one in place of the one before, or of one that is forgotten. */
final readonly class PasswordController
{
    public function __construct(private Ledger $ledger) {}

    /** Whoever asks learns nothing: neither whether there is such a name, nor where its mails go. */
    #[OA\Post(path: '/api/password-link', operationId: 'askForPassword', tags: ['people'])]
    #[Takes(PasswordAsked::class), OA\Response(response: 204, description: 'Mailed, if there is such a person.'), Refused]
    public function ask(PasswordAsked $request): JsonResponse
    {
        SendPasswordLink::dispatch($request->string('login')->toString());

        return new JsonResponse(null, 204);
    }

    #[OA\Post(path: '/api/password', operationId: 'setMailedPassword', tags: ['people'])]
    #[Takes(MailedPassword::class), OA\Response(response: 204, description: 'It counts from now on.'), Refused]
    public function reset(MailedPassword $request): JsonResponse
    {
        $login = $request->string('login')->toString();
        $password = $request->string('password')->toString();
        $said = $this->ledger->together(
            fn(): string => Password::broker('people')->reset(
                ['login' => $login, 'password' => $password, 'token' => $request->string('token')->toString()],
                fn(Person $person) => $this->set($person, $person, $password, mailed: true),
            ),
        );
        if ($said !== Password::PASSWORD_RESET) {
            throw Refusal::at('token', 'This address was used already, or is too old. Ask for another one.');
        }

        return new JsonResponse(null, 204);
    }

    /** Ends every other sign-in, and the tokens of programs. */
    #[OA\Put(path: '/api/session/password', operationId: 'setPassword', tags: ['people'])]
    #[Takes(OwnPassword::class), OA\Response(response: 204, description: 'It counts from now on.'), Refused]
    public function change(OwnPassword $request, #[CurrentUser] Person $person): JsonResponse
    {
        $password = $request->string('password')->toString();
        if (!Hash::check($request->string('current')->toString(), $person->password)) {
            throw Refusal::at('current', 'Your password is wrong.');
        }
        if (Hash::check($password, $person->password)) {
            throw Refusal::at('password', 'This is the one you have.');
        }
        $this->ledger->together(fn() => $this->set($person, $person, $password, mailed: false));
        // All sessions have ended; this one begins anew.
        $request->session()->regenerate();
        SessionOfPassword::begin($request->session(), $person);

        return new JsonResponse(null, 204);
    }

    private function set(Person $by, Person $person, #[\SensitiveParameter] string $password, bool $mailed): void
    {
        $fault = PasswordRule::fault($password, $person);
        $fault === null || throw Refusal::at('password', $fault);
        $person->update(['password' => $password]);
        event(new PasswordSet($by->login, $person->login, $mailed));
    }
}
