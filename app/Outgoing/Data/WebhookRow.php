<?php

declare(strict_types=1);

namespace App\Outgoing\Data;

use App\Http\Api\ListOf;
use App\Outgoing\Models\Channel;
use OpenApi\Attributes as OA;

/** Of which events another system is told. */
#[OA\Schema]
final readonly class WebhookRow
{
    /** @param  list<string>  $events */
    private function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property] public string $address,
        #[ListOf('string')] public array $events,
        #[OA\Property] public bool $retired,
        #[OA\Property] public int $version,
        #[OA\Property(description: 'until when the former secret signs too')] public ?string $former_until,
        #[OA\Property] public ChannelState $state,
    ) {}

    public static function of(Channel $channel, ChannelState $state): self
    {
        return new self(
            code: $channel->code,
            name: $channel->name,
            address: $channel->address,
            events: $channel->webhook->events ?? [],
            retired: $channel->retired,
            version: $channel->version,
            former_until: $channel->former_until?->isFuture() === true ? $channel->former_until->toIso8601String() : null,
            state: $state,
        );
    }
}
