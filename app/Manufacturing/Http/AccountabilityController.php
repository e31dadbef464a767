<?php

declare(strict_types=1);

namespace App\Manufacturing\Http;

use App\Days\Today;
use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Manufacturing\AccountabilityReader;
use App\Manufacturing\Data\AccountabilityPage;
use App\Manufacturing\Data\PlantAccount;
use App\Manufacturing\OrderAccountReader;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use App\Structures\Models\Item;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class AccountabilityController
{
    #[OA\Get(path: '/api/items/{number}/accountability', operationId: 'accountability', tags: ['manufacturing'])]
    #[
        InPath('number'),
        InQuery('plant'),
        InQuery('on'),
        InQuery('order'),
        InQuery('sibling'),
        InQuery('lines'),
        InQuery('from'),
        Ok(AccountabilityPage::class),
        Refused,
    ]
    public function show(string $number, Request $request, #[CurrentUser] Person $person, AccountabilityReader $reader): JsonResponse
    {
        $request->validate([
            'order' => 'nullable|string|max:20',
            'sibling' => 'nullable|string|max:40',
            'lines' => 'nullable|in:all,open',
            'from' => 'nullable|integer|min:0',
        ]);
        $at = AskedPlant::of($request);

        $item = Item::query()->where('number', $number)->firstOrFail();
        $order = $request->string('order')->toString();

        return new JsonResponse(
            $order === ''
                ? $reader->read(
                    $item,
                    $at,
                    Today::orAsked($request),
                    $request->string('lines')->toString() === 'open',
                    $request->integer('from'),
                )
                : $reader->underOrder($person, $item, $at, $order, self::sibling($request)),
        );
    }

    #[OA\Get(path: '/api/orders/{number}/accountability', operationId: 'orderAccountability', tags: ['manufacturing'])]
    #[InPath('number'), OkList(PlantAccount::class), Refused]
    public function ofOrder(string $number, OrderAccountReader $reader): JsonResponse
    {
        return new JsonResponse($reader->read(ChangeOrder::query()->where('number', $number)->firstOrFail()));
    }

    /** @return ?string empty: by nobody's example; null: nobody says */
    private static function sibling(Request $request): ?string
    {
        $sibling = $request->string('sibling')->toString();

        return $sibling === 'none' ? '' : ($sibling === '' ? null : $sibling);
    }
}
