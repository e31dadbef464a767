<?php

declare(strict_types=1);

namespace App\Outgoing\Http;

use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Outgoing\Actions\SendDeliveries;
use App\Outgoing\Data\DeliveryContent;
use App\Outgoing\Data\DeliveryPage;
use App\Outgoing\Models\Channel;
use App\Outgoing\Models\Delivery;
use App\Outgoing\Models\DeliveryState;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** What went to other systems, and what did not arrive. */
final class DeliveryController
{
    #[OA\Get(path: '/api/channels/{code}/deliveries', operationId: 'deliveries', tags: ['systems'])]
    #[InPath('code'), InQuery('state'), InQuery('from'), Ok(DeliveryPage::class), Refused]
    public function index(string $code, Request $request): JsonResponse
    {
        $request->validate(
            ['state' => 'nullable|in:waiting,delivered,refused,given_up', 'from' => 'nullable|integer|min:0|max:10000000'],
            ['state.in' => 'There is no such state.'],
        );
        $channel = Channel::query()->where('code', $code)->firstOrFail();

        return new JsonResponse(
            DeliveryPage::of($channel, DeliveryState::tryFrom($request->string('state')->toString()), $request->integer('from')),
        );
    }

    #[OA\Get(path: '/api/deliveries/{id}', operationId: 'delivery', tags: ['systems'])]
    #[InPath('id'), Ok(DeliveryContent::class), Refused]
    public function show(string $id): JsonResponse
    {
        return new JsonResponse(DeliveryContent::of(Delivery::query()->with('attempts')->findOrFail((int) $id)));
    }

    #[OA\Post(path: '/api/channels/{code}/deliveries', operationId: 'sendDeliveriesAgain', tags: ['systems'])]
    #[InPath('code'), Takes(DeliveryIds::class), Ok(Done::class), Refused]
    public function again(string $code, DeliveryIds $request, #[CurrentUser] Person $person, SendDeliveries $action): JsonResponse
    {
        $channel = $action->again($person, $code, $request->ids());

        return new JsonResponse(new Done($channel->code, $channel->version));
    }
}
