<?php

declare(strict_types=1);

namespace App\SignIn\Http;

use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Ledger\Ledger;
use App\People\Models\Person;
use App\People\Rights;
use App\SignIn\Data\NewSecret;
use App\SignIn\Data\RecoveryCodes;
use App\SignIn\Data\SecondFactorPage;
use App\SignIn\Events\SecondFactorSet;
use App\SignIn\Models\SecondFactor;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Hash;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Refusal;

/** The authenticator of who is signed in. */
final readonly class SecondFactorController
{
    public function __construct(private Ledger $ledger, private Rights $rights) {}

    #[OA\Get(path: '/api/session/second-factor', operationId: 'secondFactor', tags: ['people'])]
    #[Ok(SecondFactorPage::class), Refused]
    public function show(#[CurrentUser] Person $person): JsonResponse
    {
        return new JsonResponse(SecondFactorPage::of($person));
    }

    /** Tells a secret. Until a code of it is shown, nothing changes; where there is one already, it has to go first. */
    #[OA\Post(path: '/api/session/second-factor', operationId: 'beginSecondFactor', tags: ['people'])]
    #[Takes(PasswordProof::class), Ok(NewSecret::class), Refused]
    public function begin(PasswordProof $request, #[CurrentUser] Person $person): JsonResponse
    {
        $this->prove($person, $request);
        if (SecondFactor::ofPerson($person) !== null) {
            throw Refusal::at('second_factor', 'You have one already. Remove it before you set up another.');
        }
        $factor = SecondFactor::begin($person);

        return new JsonResponse(new NewSecret($factor->spelled(), $factor->totp()->address('Orthotaxis', $person->login)));
    }

    /** From now on it is asked for. */
    #[OA\Put(path: '/api/session/second-factor', operationId: 'confirmSecondFactor', tags: ['people'])]
    #[Takes(ShownCode::class), Ok(RecoveryCodes::class), Refused]
    public function confirm(ShownCode $request, #[CurrentUser] Person $person): JsonResponse
    {
        return $this->ledger->together(static function () use ($request, $person): JsonResponse {
            $factor = SecondFactor::query()->whereNull('confirmed_at')->lockForUpdate()->find($person->id) ?? abort(404);
            if (!$factor->takes($request->string('code')->toString())) {
                throw Refusal::at(
                    'code',
                    'This code is wrong. Write the one that is shown now; check that the clock of the device is right.',
                );
            }
            $factor->refresh()->update(['confirmed_at' => now()]);
            event(new SecondFactorSet($person->login, $person->login, on: true));

            return new JsonResponse(new RecoveryCodes($factor->recover()));
        });
    }

    /** Others in place of those that are left. */
    #[OA\Post(path: '/api/session/recovery-codes', operationId: 'newRecoveryCodes', tags: ['people'])]
    #[Takes(PasswordProof::class), Ok(RecoveryCodes::class), Refused]
    public function recover(PasswordProof $request, #[CurrentUser] Person $person): JsonResponse
    {
        $this->prove($person, $request);

        return new JsonResponse(new RecoveryCodes((SecondFactor::ofPerson($person) ?? abort(404))->recover()));
    }

    #[OA\Delete(path: '/api/session/second-factor', operationId: 'removeSecondFactor', tags: ['people'])]
    #[Takes(PasswordProof::class), Ok(SecondFactorPage::class), Refused]
    public function remove(PasswordProof $request, #[CurrentUser] Person $person): JsonResponse
    {
        $this->prove($person, $request);
        if ($this->rights->needSecondFactor($person->roles)) {
            throw Refusal::at('second_factor', 'Your role asks for one. Who manages people can reset it when your device is lost.');
        }
        $this->ledger->together(static function () use ($person): void {
            if (SecondFactor::query()->whereKey($person->id)->delete() > 0) {
                event(new SecondFactorSet($person->login, $person->login, on: false));
            }
        });

        return $this->show($person);
    }

    /** A screen that was left open is not enough. */
    private function prove(Person $person, PasswordProof $request): void
    {
        if (!Hash::check($request->string('password')->toString(), $person->password)) {
            throw Refusal::at('password', 'Your password is wrong.');
        }
    }
}
