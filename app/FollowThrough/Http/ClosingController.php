<?php

declare(strict_types=1);

namespace App\FollowThrough\Http;

use App\FollowThrough\Actions\CloseOrder;
use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** The last step of an order. */
final class ClosingController
{
    #[OA\Post(path: '/api/orders/{number}/closing', operationId: 'closeOrder', tags: ['changes'])]
    #[InPath('number'), Takes(Closing::class), Ok(Done::class), Refused]
    public function close(string $number, Closing $request, #[CurrentUser] Person $person, CloseOrder $action): JsonResponse
    {
        $action($person, $number, $request->integer('version'), $request->string('reason')->trim()->toString());

        return new JsonResponse(ChangeOrder::done($number));
    }
}
