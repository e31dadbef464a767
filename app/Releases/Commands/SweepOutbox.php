<?php

declare(strict_types=1);

namespace App\Releases\Commands;

use App\Releases\Jobs\DeliverHandover;
use App\Releases\Models\OutboxMessage;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;

/** A worker or a queue may be lost; what is written in the outbox is not. */
final class SweepOutbox extends Command
{
    protected $signature = 'outbox:sweep';

    protected $description = 'Queue again what should have left the outbox and has not.';

    public function handle(): int
    {
        $now = CarbonImmutable::now();
        $late = OutboxMessage::query()
            ->whereNull('delivered_at')
            ->where('tries', '<', config()->integer('orthotaxis.handover.tries'))
            ->where('due_at', '<', $now->subMinute())
            ->where('queued_at', '<', $now->subMinutes(10))
            ->get();
        foreach ($late as $message) {
            $message->update(['queued_at' => $now]);
            DeliverHandover::dispatch($message->id);
        }
        $this->info("{$late->count()} queued again.");

        return self::SUCCESS;
    }
}
