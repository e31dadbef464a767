<?php

declare(strict_types=1);

namespace App\Dossier\Http;

use App\Dossier\Actions\OrderRequests;
use App\Dossier\Actions\RaiseOrder;
use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Http\Version;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** How an order comes about: of approved requests, or directly. */
final readonly class RaiseOrderController
{
    #[OA\Post(path: '/api/requests/{number}/order', operationId: 'raiseOrder', tags: ['changes'])]
    #[InPath('number'), Ok(Done::class), Refused]
    public function order(string $number, #[CurrentUser] Person $person, RaiseOrder $action): JsonResponse
    {
        return new JsonResponse(ChangeOrder::done($action->from($person, $number)->number));
    }

    #[OA\Post(path: '/api/orders', operationId: 'newOrder', tags: ['changes'])]
    #[Takes(NewOrder::class), Ok(Done::class), Refused]
    public function raise(NewOrder $request, #[CurrentUser] Person $person, RaiseOrder $action): JsonResponse
    {
        $order = $action->raise(
            $person,
            title: $request->string('title')->toString(),
            description: $request->string('description')->toString(),
            priority: $request->priority(),
            items: $request->numbers('items'),
            requests: $request->numbers('requests'),
            parent: $request->string('parent')->trim()->toString(),
        );

        return new JsonResponse(ChangeOrder::done($order->number));
    }

    #[OA\Put(path: '/api/orders/{number}/requests/{request}', operationId: 'addRequest', tags: ['changes'])]
    #[InPath('number'), InPath('request'), Takes(Version::class), Ok(Done::class), Refused]
    public function add(string $number, string $request, Version $seen, #[CurrentUser] Person $person, OrderRequests $action): JsonResponse
    {
        $action->add($person, $number, $request, $seen->integer('version'));

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Delete(path: '/api/orders/{number}/requests/{request}', operationId: 'takeRequestOut', tags: ['changes'])]
    #[InPath('number'), InPath('request'), Takes(Version::class), Ok(Done::class), Refused]
    public function takeOut(
        string $number,
        string $request,
        Version $seen,
        #[CurrentUser] Person $person,
        OrderRequests $action,
    ): JsonResponse {
        $action->takeOut($person, $number, $request, $seen->integer('version'));

        return new JsonResponse(ChangeOrder::done($number));
    }
}
