<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\People\Actions\SetPerson;
use App\People\Data\PersonAccount;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** People, for those who manage them: also those who may not sign in any more. */
final class AccountController
{
    #[OA\Get(path: '/api/accounts', operationId: 'accounts', tags: ['people'])]
    #[OkList(PersonAccount::class), Refused]
    public function index(): JsonResponse
    {
        return new JsonResponse(Person::query()->orderBy('name')->get()->map(PersonAccount::of(...)));
    }

    #[OA\Put(path: '/api/accounts/{login}', operationId: 'setAccount', tags: ['people'])]
    #[InPath('login'), Takes(AccountRule::class), Ok(Done::class), Refused]
    public function set(string $login, AccountRule $request, #[CurrentUser] Person $person, SetPerson $action): JsonResponse
    {
        $set = $action(
            $person->login,
            $login,
            name: $request->string('name')->trim()->toString(),
            email: $request->string('email')->toString(),
            roles: $request->roles(),
            active: $request->boolean('active'),
            version: $request->filled('version') ? $request->integer('version') : null,
        );

        return new JsonResponse(new Done($set->login, $set->version));
    }
}
