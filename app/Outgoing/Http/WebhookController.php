<?php

declare(strict_types=1);

namespace App\Outgoing\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Outgoing\Actions\SendDeliveries;
use App\Outgoing\Actions\SetWebhook;
use App\Outgoing\Data\ChannelState;
use App\Outgoing\Data\EventKind;
use App\Outgoing\Data\WebhookRow;
use App\Outgoing\Data\WebhookSaved;
use App\Outgoing\Models\Channel;
use App\Outgoing\Models\Purpose;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Other systems that are told of events. */
final readonly class WebhookController
{
    public function __construct(private SetWebhook $webhooks) {}

    #[OA\Get(path: '/api/events', operationId: 'events', tags: ['systems'])]
    #[OkList(EventKind::class), Refused]
    public function events(): JsonResponse
    {
        return new JsonResponse(EventKind::all());
    }

    #[OA\Get(path: '/api/webhooks', operationId: 'webhooks', tags: ['systems'])]
    #[OkList(WebhookRow::class), Refused]
    public function index(): JsonResponse
    {
        $channels = Channel::query()->with('webhook')->where('purpose', Purpose::Events)->orderBy('name')->get();
        $states = ChannelState::of(array_values(array_map(static fn(Channel $one): int => $one->id, $channels->all())));

        return new JsonResponse($channels->map(static fn(Channel $one): WebhookRow => WebhookRow::of($one, $states[$one->id])));
    }

    #[OA\Put(path: '/api/webhooks/{code}', operationId: 'setWebhook', tags: ['systems'])]
    #[InPath('code'), Takes(WebhookRule::class), Ok(WebhookSaved::class), Refused]
    public function set(string $code, WebhookRule $request, #[CurrentUser] Person $person): JsonResponse
    {
        $version = $request->filled('version') ? $request->integer('version') : null;
        $channel = $this->webhooks->set(
            $person,
            $code,
            name: $request->string('name')->trim()->toString(),
            address: $request->string('address')->toString(),
            events: $request->events(),
            retired: $request->boolean('retired'),
            version: $version,
        );

        return new JsonResponse(new WebhookSaved($channel->code, $channel->version, $version === null ? $channel->secret : null));
    }

    #[OA\Post(path: '/api/webhooks/{code}/secret', operationId: 'renewWebhookSecret', tags: ['systems'])]
    #[InPath('code'), Ok(WebhookSaved::class), Refused]
    public function renewSecret(string $code, #[CurrentUser] Person $person): JsonResponse
    {
        $channel = $this->webhooks->renewSecret($person, $code);

        return new JsonResponse(new WebhookSaved($channel->code, $channel->version, $channel->secret));
    }

    #[OA\Post(path: '/api/webhooks/{code}/trial', operationId: 'tryWebhook', tags: ['systems'])]
    #[InPath('code'), Ok(Done::class), Refused]
    public function try(string $code, #[CurrentUser] Person $person, SendDeliveries $action): JsonResponse
    {
        $channel = $action->trial($person, $code);

        return new JsonResponse(new Done($channel->code, $channel->version));
    }
}
