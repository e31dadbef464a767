<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Orders\Actions\DecideBelongings;
use App\Orders\Belongings\BelongingRows;
use App\Orders\Data\BelongingRow;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\BelongingState;

/** What belongs together with the items of an order, and what becomes of it. */
final class BelongingController
{
    #[OA\Get(path: '/api/orders/{number}/belongings', operationId: 'belongings', tags: ['changes'])]
    #[InPath('number'), OkList(BelongingRow::class), Refused]
    public function index(string $number, BelongingRows $rows): JsonResponse
    {
        return new JsonResponse($rows->of(ChangeOrder::query()->where('number', $number)->firstOrFail()));
    }

    #[OA\Post(path: '/api/orders/{number}/belongings', operationId: 'decideBelongings', tags: ['changes'])]
    #[InPath('number'), Takes(BelongingDecision::class), Ok(Done::class), Refused]
    public function decide(
        string $number,
        BelongingDecision $request,
        #[CurrentUser] Person $person,
        DecideBelongings $action,
    ): JsonResponse {
        $action(
            $person,
            $number,
            rows: $request->chosen(),
            becomes: BelongingState::from($request->string('becomes')->toString()),
            reason: $request->string('reason')->trim()->toString(),
            version: $request->integer('version'),
        );

        return new JsonResponse(ChangeOrder::done($number));
    }
}
