<?php

declare(strict_types=1);

namespace App\ItemData\Http;

use App\Days\Today;
use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\ItemData\Actions\EditItemData;
use App\ItemData\Data\DataOfItem;
use App\ItemData\Data\DataRedline;
use App\ItemData\DataReader;
use App\ItemData\DataRedlineReader;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use App\Structures\Models\Item;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Calendar\Day;

/** What is known of items, and how orders change it. */
final readonly class ItemDataController
{
    public function __construct(private EditItemData $edit) {}

    #[OA\Get(path: '/api/items/{number}/data', operationId: 'itemData', tags: ['structures'])]
    #[InPath('number'), InQuery('on'), Ok(DataOfItem::class), Refused]
    public function show(string $number, Request $request, DataReader $data): JsonResponse
    {
        $item = Item::query()->with('category')->where('number', $number)->firstOrFail();
        $on = $request->string('on')->toString();

        return new JsonResponse($data->on($item, $on === '' ? Today::day() : Day::parse($on, 'on')));
    }

    #[OA\Get(path: '/api/orders/{number}/data', operationId: 'dataOfOrder', tags: ['changes'])]
    #[InPath('number'), OkList(DataRedline::class), Refused]
    public function ofOrder(string $number, #[CurrentUser] Person $person, DataRedlineReader $redlines): JsonResponse
    {
        return new JsonResponse($redlines->changed($person, $number));
    }

    #[OA\Get(path: '/api/orders/{number}/items/{item}/data', operationId: 'dataRedline', tags: ['changes'])]
    #[InPath('number'), InPath('item'), Ok(DataRedline::class), Refused]
    public function redline(string $number, string $item, #[CurrentUser] Person $person, DataRedlineReader $redlines): JsonResponse
    {
        return new JsonResponse($redlines->one($person, $number, $item));
    }

    #[OA\Post(path: '/api/orders/{number}/items/{item}/data', operationId: 'setItemData', tags: ['changes'])]
    #[InPath('number'), InPath('item'), Takes(SetFields::class), Ok(Done::class), Refused]
    public function set(string $number, string $item, SetFields $request, #[CurrentUser] Person $person): JsonResponse
    {
        $this->edit->set($person, $number, $item, $request->edits(), $request->integer('seen'));

        return new JsonResponse(ChangeOrder::done($number));
    }
}
