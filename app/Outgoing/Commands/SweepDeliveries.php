<?php

declare(strict_types=1);

namespace App\Outgoing\Commands;

use App\Outgoing\Jobs\CarryDeliveries;
use App\Outgoing\Models\Delivery;
use App\Outgoing\Models\DeliveryState;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;
use Illuminate\Database\Eloquent\Builder;

/** A worker or a queue may be lost; what waits to leave the house is not. What arrived long ago is kept no longer. */
final class SweepDeliveries extends Command
{
    protected $signature = 'deliveries:sweep';

    protected $description = 'Queue again what should have gone to other systems and has not; forget what arrived long ago.';

    public function handle(): int
    {
        $now = CarbonImmutable::now();
        $late = Delivery::query()
            ->where('state', DeliveryState::Waiting)
            ->where('due_at', '<', $now->subSeconds(30))
            ->whereHas('channel', static fn(Builder $channel): Builder => $channel->where('retired', false))
            ->distinct()
            ->pluck('channel_id');
        foreach ($late as $channel) {
            CarryDeliveries::dispatch($channel);
        }
        $gone = Delivery::query()
            ->where('state', DeliveryState::Delivered)
            ->where('ended_at', '<', $now->subDays(config()->integer('outgoing.keep_days')))
            ->delete();
        $this->info("{$late->count()} channels queued again, {$gone} messages forgotten.");

        return self::SUCCESS;
    }
}
