<?php

declare(strict_types=1);

namespace App\Outgoing\Data;

use App\Http\Api\ListOf;
use App\Outgoing\Models\Channel;
use App\Outgoing\Models\Delivery;
use App\Outgoing\Models\DeliveryState;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use OpenApi\Attributes as OA;

/** What went to one other system, the newest first, so much at once. */
#[OA\Schema]
final readonly class DeliveryPage
{
    private const AT_ONCE = 200;

    /** @param  list<DeliveryRow>  $rows */
    private function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property(enum: ['events', 'files'])] public string $purpose,
        #[OA\Property] public string $address,
        #[OA\Property(description: 'nothing goes there any more')] public bool $retired,
        #[OA\Property(description: 'of all states')] public int $undelivered,
        #[OA\Property(description: 'of all states')] public int $waiting,
        #[OA\Property(description: 'of the state that is asked for')] public int $total,
        #[OA\Property(description: 'how many newer ones there are')] public int $from,
        #[ListOf(DeliveryRow::class)] public array $rows,
    ) {}

    public static function of(Channel $channel, ?DeliveryState $state, int $from): self
    {
        $some = Delivery::query()
            ->where('channel_id', $channel->id)
            ->when($state !== null, static fn(Builder $rows): Builder => $rows->where('state', $state));
        $counts = ChannelState::of([$channel->id])[$channel->id];

        $total = (clone $some)->count();
        $page = $some->orderByDesc('id')->offset($from)->limit(self::AT_ONCE);
        /** @var Collection<int, Delivery> $rows */
        $rows = $page->get(['id', 'name', 'what', 'subject', 'state', 'tries', 'said', 'written_at', 'due_at', 'ended_at']);

        return new self(
            code: $channel->code,
            name: $channel->name,
            purpose: $channel->purpose->value,
            address: $channel->address,
            retired: $channel->retired,
            undelivered: $counts->undelivered,
            waiting: $counts->waiting,
            total: $total,
            from: $from,
            rows: array_values($rows->map(static fn(Delivery $one): DeliveryRow => DeliveryRow::of($one))->all()),
        );
    }
}
