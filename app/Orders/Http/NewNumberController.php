<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Http\Version;
use App\Orders\Models\ChangeOrder;
use App\Orders\NewNumber\GiveNewNumber;
use App\People\Models\Person;
use App\Structures\Data\SuccessionRow;
use App\Structures\Models\Succession;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** New numbers of items on an order. */
final readonly class NewNumberController
{
    #[OA\Get(path: '/api/orders/{number}/new-numbers', operationId: 'newNumbers', tags: ['changes'])]
    #[InPath('number'), OkList(SuccessionRow::class), Refused]
    public function index(string $number): JsonResponse
    {
        $order = ChangeOrder::query()->where('number', $number)->firstOrFail();

        return new JsonResponse(
            Succession::query()
                ->with(['item', 'successor', 'order'])
                ->where('order_id', $order->id)
                ->orderBy('id')
                ->get()
                ->map(SuccessionRow::of(...)),
        );
    }

    #[OA\Post(path: '/api/orders/{number}/items/{item}/new-number', operationId: 'giveNewNumber', tags: ['changes'])]
    #[InPath('number'), InPath('item'), Takes(NewNumberRequest::class), Ok(Done::class), Refused]
    public function give(
        string $number,
        string $item,
        NewNumberRequest $request,
        #[CurrentUser] Person $person,
        GiveNewNumber $action,
    ): JsonResponse {
        $action->give($person, $number, $item, $request->asked(), $request->integer('version'));

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Delete(path: '/api/orders/{number}/new-numbers/{item}', operationId: 'takeNewNumberBack', tags: ['changes'])]
    #[InPath('number'), InPath('item'), Takes(Version::class), Ok(Done::class), Refused]
    public function takeBack(
        string $number,
        string $item,
        Version $seen,
        #[CurrentUser] Person $person,
        GiveNewNumber $action,
    ): JsonResponse {
        $action->takeBack($person, $number, $item, $seen->integer('version'));

        return new JsonResponse(ChangeOrder::done($number));
    }
}
