<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Http\Version;
use App\Orders\Actions\MoveOrder;
use App\Orders\Actions\PlanOrder;
use App\Orders\Actions\PutItemOnOrder;
use App\Orders\Actions\PutOnHold;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use App\Requests\Http\NamedItem;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Change\Outcome;

/** A change order on its way from planning to closing. */
final readonly class OrderController
{
    #[OA\Patch(path: '/api/orders/{number}', operationId: 'planOrder', tags: ['changes'])]
    #[InPath('number'), Takes(OrderPlan::class), Ok(Done::class), Refused]
    public function plan(string $number, OrderPlan $request, #[CurrentUser] Person $person, PlanOrder $action): JsonResponse
    {
        $action->plan($person, $number, $request->fields(), $request->integer('version'));

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Put(path: '/api/orders/{number}/items/{item}', operationId: 'putItemOnOrder', tags: ['changes'])]
    #[InPath('number'), InPath('item'), Takes(NamedItem::class), Ok(Done::class), Refused]
    public function putItem(
        string $number,
        string $item,
        NamedItem $request,
        #[CurrentUser] Person $person,
        PutItemOnOrder $action,
    ): JsonResponse {
        $action->put(
            $person,
            $number,
            $item,
            Outcome::from($request->string('outcome')->toString()),
            Disposition::tryFrom($request->string('disposition')->toString()),
            $request->integer('version'),
        );

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Delete(path: '/api/orders/{number}/items/{item}', operationId: 'takeItemOffOrder', tags: ['changes'])]
    #[InPath('number'), InPath('item'), Takes(Version::class), Ok(Done::class), Refused]
    public function takeItemOff(
        string $number,
        string $item,
        Version $request,
        #[CurrentUser] Person $person,
        PutItemOnOrder $action,
    ): JsonResponse {
        $action->takeOff($person, $number, $item, $request->integer('version'));

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Post(path: '/api/orders/{number}/opening', operationId: 'openOrder', tags: ['changes'])]
    #[InPath('number'), Takes(Version::class), Ok(Done::class), Refused]
    public function open(string $number, Version $request, #[CurrentUser] Person $person, MoveOrder $action): JsonResponse
    {
        $action->openForRevision($person, $number, $request->integer('version'));

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Post(path: '/api/orders/{number}/review', operationId: 'submitOrder', tags: ['changes'])]
    #[InPath('number'), Takes(Version::class), Ok(Done::class), Refused]
    public function submit(string $number, Version $request, #[CurrentUser] Person $person, MoveOrder $action): JsonResponse
    {
        $action->submit($person, $number, $request->integer('version'));

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Post(path: '/api/orders/{number}/withdrawal', operationId: 'withdrawOrder', tags: ['changes'])]
    #[InPath('number'), Takes(Because::class), Ok(Done::class), Refused]
    public function withdraw(string $number, Because $request, #[CurrentUser] Person $person, MoveOrder $action): JsonResponse
    {
        $action->withdraw($person, $number, $request->string('reason')->toString(), $request->integer('version'));

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Post(path: '/api/orders/{number}/hold', operationId: 'holdOrder', tags: ['changes'])]
    #[InPath('number'), Takes(Holding::class), Ok(Done::class), Refused]
    public function hold(string $number, Holding $request, #[CurrentUser] Person $person, PutOnHold $action): JsonResponse
    {
        $action->hold($person, $number, $request->string('reason')->toString(), $request->integer('version'));

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Delete(path: '/api/orders/{number}/hold', operationId: 'letOrderGoOn', tags: ['changes'])]
    #[InPath('number'), Takes(Holding::class), Ok(Done::class), Refused]
    public function goOn(string $number, Holding $request, #[CurrentUser] Person $person, PutOnHold $action): JsonResponse
    {
        $action->goOn(
            $person,
            $number,
            $request->string('reason')->toString(),
            moves: $request->boolean('moves'),
            version: $request->integer('version'),
        );

        return new JsonResponse(ChangeOrder::done($number));
    }
}
