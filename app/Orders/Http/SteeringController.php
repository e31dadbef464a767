<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Orders\Actions\SteerPath;
use App\Orders\Models\ChangeOrder;
use App\Paths\Http\PathSteering;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Leaves a step of the path of an order out, or gives it to others. */
final class SteeringController
{
    #[OA\Post(path: '/api/orders/{number}/path', operationId: 'steerPath', tags: ['approvals'])]
    #[InPath('number'), Takes(PathSteering::class), Ok(Done::class), Refused]
    public function steer(string $number, PathSteering $request, #[CurrentUser] Person $person, SteerPath $action): JsonResponse
    {
        $reason = $request->string('reason')->trim()->toString();
        $to = $request->to();
        if ($to === []) {
            $action->skip($person, $number, $request->integer('step'), $reason);
        } else {
            $action->give($person, $number, $request->integer('step'), $to, $reason);
        }

        return new JsonResponse(ChangeOrder::done($number));
    }
}
