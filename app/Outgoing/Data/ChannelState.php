<?php

declare(strict_types=1);

namespace App\Outgoing\Data;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;

/** How it stands with what goes to one other system. */
#[OA\Schema]
final readonly class ChannelState
{
    private function __construct(
        #[OA\Property(description: 'messages that are on their way, or tried again')] public int $waiting,
        #[OA\Property(description: 'messages that the receiver did not want, or that were tried often enough')] public int $undelivered,
        #[OA\Property] public ?string $last_arrived_at,
        #[OA\Property(description: 'what went wrong with the first of those that wait')] public string $fault,
    ) {}

    /**
     * @param  list<int>  $channels
     * @return array<int, self> by channel
     */
    public static function of(array $channels): array
    {
        $counted = DB::table('deliveries')
            ->whereIntegerInRaw('channel_id', $channels)
            ->groupBy('channel_id')
            ->selectRaw(
                "channel_id, count(*) FILTER (WHERE state = 'waiting') AS waiting, count(*) FILTER (WHERE state IN ('refused', 'given_up')) AS undelivered,
                max(ended_at) FILTER (WHERE state = 'delivered') AS last_arrived_at,
                (array_agg(said ORDER BY id) FILTER (WHERE state = 'waiting'))[1] AS fault",
            )
            ->get()
            ->keyBy('channel_id');
        $states = [];
        foreach ($channels as $id) {
            $one = $counted[$id] ?? null;
            $states[$id] = new self(
                waiting: $one->waiting ?? 0,
                undelivered: $one->undelivered ?? 0,
                last_arrived_at: isset($one->last_arrived_at) ? CarbonImmutable::parse($one->last_arrived_at)->toIso8601String() : null,
                fault: $one->fault ?? '',
            );
        }

        return $states;
    }
}
