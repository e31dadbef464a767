<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Orders\Actions\AdoptNewest;
use App\Orders\Data\OlderUses;
use App\Orders\Data\PlannedUse;
use App\Orders\Models\ChangeOrder;
use App\Orders\OlderUseReader;
use App\Orders\PlannedUseReader;
use App\People\Models\Person;
use App\Structures\Models\Item;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Who still points to an older revision, who adopts the newest, and what open orders would do to the uses of an item. */
final readonly class AdoptionController
{
    public function __construct(private OlderUseReader $reader) {}

    #[OA\Get(path: '/api/items/{number}/older-uses', operationId: 'olderUses', tags: ['structures'])]
    #[InPath('number'), Ok(OlderUses::class), Refused]
    public function show(string $number): JsonResponse
    {
        return new JsonResponse($this->reader->read(Item::query()->with('released')->where('number', $number)->firstOrFail()));
    }

    #[OA\Get(path: '/api/items/{number}/planned-uses', operationId: 'plannedUses', tags: ['structures'])]
    #[InPath('number'), OkList(PlannedUse::class), Refused]
    public function planned(string $number, PlannedUseReader $planned): JsonResponse
    {
        return new JsonResponse($planned->read(Item::query()->where('number', $number)->firstOrFail()));
    }

    #[OA\Post(path: '/api/orders/{number}/adoptions', operationId: 'adoptNewest', tags: ['changes'])]
    #[InPath('number'), Takes(Adoption::class), Ok(Done::class), Refused]
    public function adopt(string $number, Adoption $request, #[CurrentUser] Person $person, AdoptNewest $action): JsonResponse
    {
        $action($person, $number, $request->string('item')->toString(), $request->uses());

        return new JsonResponse(ChangeOrder::done($number));
    }
}
