<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\People\Ability;
use App\People\Actions\SetRole;
use App\People\Data\AbilityRow;
use App\People\Data\RoleRow;
use App\People\Models\Person;
use App\People\Models\Role;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Roles, and what each allows. */
final class RoleController
{
    #[OA\Get(path: '/api/roles', operationId: 'roles', tags: ['people'])]
    #[OkList(RoleRow::class), Refused]
    public function index(): JsonResponse
    {
        $people = Person::query()->where('active', true)->orderBy('name')->get();

        return new JsonResponse(
            Role::query()
                ->orderBy('name')
                ->get()
                ->map(
                    static fn(Role $role): RoleRow => RoleRow::of(
                        $role,
                        array_values($people->filter(static fn(Person $one): bool => $one->has($role->code))->pluck('name')->all()),
                    ),
                ),
        );
    }

    #[OA\Get(path: '/api/abilities', operationId: 'abilities', tags: ['people'])]
    #[OkList(AbilityRow::class), Refused]
    public function abilities(): JsonResponse
    {
        return new JsonResponse(array_map(AbilityRow::of(...), Ability::cases()));
    }

    #[OA\Put(path: '/api/roles/{code}', operationId: 'setRole', tags: ['people'])]
    #[InPath('code'), Takes(RoleRule::class), Ok(Done::class), Refused]
    public function set(string $code, RoleRule $request, #[CurrentUser] Person $person, SetRole $action): JsonResponse
    {
        $role = $action($person, $code, $request->wishes(), $request->filled('version') ? $request->integer('version') : null);

        return new JsonResponse(new Done($role->code, $role->version));
    }
}
