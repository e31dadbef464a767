<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\People\Actions\SetGroup;
use App\People\Data\GroupRow;
use App\People\Models\Group;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Groups of people. */
final class GroupController
{
    #[OA\Get(path: '/api/groups', operationId: 'groups', tags: ['people'])]
    #[OkList(GroupRow::class), Refused]
    public function index(): JsonResponse
    {
        return new JsonResponse(Group::query()->with('members')->orderBy('name')->get()->map(GroupRow::of(...)));
    }

    #[OA\Put(path: '/api/groups/{code}', operationId: 'setGroup', tags: ['people'])]
    #[InPath('code'), Takes(GroupRule::class), Ok(Done::class), Refused]
    public function set(string $code, GroupRule $request, #[CurrentUser] Person $person, SetGroup $action): JsonResponse
    {
        $group = $action(
            $person,
            $code,
            name: $request->string('name')->trim()->toString(),
            members: $request->members(),
            retired: $request->boolean('retired'),
            version: $request->filled('version') ? $request->integer('version') : null,
        );

        return new JsonResponse(new Done($group->code, $group->version));
    }
}
