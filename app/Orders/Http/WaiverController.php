<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Http\Version;
use App\Orders\Actions\WaiveCheck;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Checks of an order that are let go. */
final class WaiverController
{
    #[OA\Post(path: '/api/orders/{number}/waivers', operationId: 'waiveCheck', tags: ['approvals'])]
    #[InPath('number'), Takes(NewWaiver::class), Ok(Done::class), Refused]
    public function waive(string $number, NewWaiver $request, #[CurrentUser] Person $person, WaiveCheck $action): JsonResponse
    {
        $action->waive(
            $person,
            $number,
            check: $request->string('check')->toString(),
            fault: $request->string('fault')->toString(),
            reason: $request->string('reason')->trim()->toString(),
            version: $request->integer('version'),
        );

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Delete(path: '/api/orders/{number}/waivers/{check}', operationId: 'withdrawWaiver', tags: ['approvals'])]
    #[InPath('number'), InPath('check'), Takes(Version::class), Ok(Done::class), Refused]
    public function withdraw(
        string $number,
        string $check,
        Version $request,
        #[CurrentUser] Person $person,
        WaiveCheck $action,
    ): JsonResponse {
        $action->withdraw($person, $number, $check, $request->integer('version'));

        return new JsonResponse(ChangeOrder::done($number));
    }
}
