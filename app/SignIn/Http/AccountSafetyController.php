<?php

declare(strict_types=1);

namespace App\SignIn\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Ledger\Ledger;
use App\People\Models\Person;
use App\SignIn\Actions\IssueToken;
use App\SignIn\Data\AccountSafety;
use App\SignIn\Events\PasswordLinkSent;
use App\SignIn\Events\SecondFactorSet;
use App\SignIn\Jobs\SendPasswordLink;
use App\SignIn\Models\SecondFactor;
use App\SignIn\SignIns;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** How others sign in, for those who manage people. */
final readonly class AccountSafetyController
{
    public function __construct(private Ledger $ledger, private SignIns $signIns, private IssueToken $tokens) {}

    #[OA\Get(path: '/api/accounts/{login}/safety', operationId: 'accountSafety', tags: ['people'])]
    #[InPath('login'), Ok(AccountSafety::class), Refused]
    public function show(string $login): JsonResponse
    {
        $person = self::person($login);

        return new JsonResponse(AccountSafety::of($person, $this->signIns->of($person, null)));
    }

    #[OA\Post(path: '/api/accounts/{login}/password-link', operationId: 'sendPasswordLink', tags: ['people'])]
    #[InPath('login'), OA\Response(response: 204, description: 'Mailed.'), Refused]
    public function sendLink(string $login, #[CurrentUser] Person $by): JsonResponse
    {
        $person = Person::query()->where('login', $login)->where('active', true)->firstOrFail();
        $this->ledger->together(static function () use ($by, $person): void {
            SendPasswordLink::dispatch($person->login, true);
            event(new PasswordLinkSent($by->login, $person->login));
        });

        return new JsonResponse(null, 204);
    }

    /** Of somebody who has lost their device. */
    #[OA\Delete(path: '/api/accounts/{login}/second-factor', operationId: 'resetSecondFactor', tags: ['people'])]
    #[InPath('login'), Ok(AccountSafety::class), Refused]
    public function resetSecondFactor(string $login, #[CurrentUser] Person $by): JsonResponse
    {
        $person = self::person($login);
        $this->ledger->together(static function () use ($by, $person): void {
            if (SecondFactor::query()->whereKey($person->id)->delete() > 0) {
                event(new SecondFactorSet($by->login, $person->login, on: false));
            }
        });

        return $this->show($login);
    }

    #[OA\Delete(path: '/api/accounts/{login}/sign-ins/{id}', operationId: 'endSignInOf', tags: ['people'])]
    #[InPath('login'), InPath('id'), Ok(AccountSafety::class), Refused]
    public function endSignIn(string $login, string $id, #[CurrentUser] Person $by): JsonResponse
    {
        $this->signIns->end($by, self::person($login), $id);

        return $this->show($login);
    }

    #[OA\Delete(path: '/api/accounts/{login}/tokens/{id}', operationId: 'withdrawTokenOf', tags: ['people'])]
    #[InPath('login'), InPath('id'), Ok(AccountSafety::class), Refused]
    public function withdrawToken(string $login, string $id, #[CurrentUser] Person $by): JsonResponse
    {
        $this->tokens->withdraw($by, self::person($login), (int) $id);

        return $this->show($login);
    }

    private static function person(string $login): Person
    {
        return Person::query()->where('login', $login)->firstOrFail();
    }
}
