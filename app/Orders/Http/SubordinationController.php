<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Http\Version;
use App\Orders\Actions\SubordinateOrder;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Orders that are not released before another. */
final class SubordinationController
{
    #[OA\Put(path: '/api/orders/{number}/parent', operationId: 'subordinateOrder', tags: ['changes'])]
    #[InPath('number'), Takes(ParentRequest::class), Ok(Done::class), Refused]
    public function put(string $number, ParentRequest $request, #[CurrentUser] Person $person, SubordinateOrder $action): JsonResponse
    {
        $action->put(
            $person,
            $number,
            $request->string('parent')->trim()->toString(),
            together: $request->boolean('together'),
            version: $request->integer('version'),
        );

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Delete(path: '/api/orders/{number}/parent', operationId: 'freeOrder', tags: ['changes'])]
    #[InPath('number'), Takes(Version::class), Ok(Done::class), Refused]
    public function free(string $number, Version $request, #[CurrentUser] Person $person, SubordinateOrder $action): JsonResponse
    {
        $action->free($person, $number, $request->integer('version'));

        return new JsonResponse(ChangeOrder::done($number));
    }
}
