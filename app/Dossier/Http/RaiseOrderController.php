<?php

declare(strict_types=1);

namespace App\Dossier\Http;

use App\Dossier\Actions\RaiseOrder;
use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Done;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** An approved request becomes an order. */
final readonly class RaiseOrderController
{
    #[OA\Post(path: '/api/requests/{number}/order', operationId: 'raiseOrder', tags: ['changes'])]
    #[InPath('number'), Ok(Done::class), Refused]
    public function order(string $number, #[CurrentUser] Person $person, RaiseOrder $action): JsonResponse
    {
        return new JsonResponse(ChangeOrder::done($action->from($person, $number)->number));
    }
}
