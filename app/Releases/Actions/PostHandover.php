<?php

declare(strict_types=1);

namespace App\Releases\Actions;

use App\Releases\Jobs\DeliverHandover;
use App\Releases\Models\Handover;
use App\Releases\Models\OutboxMessage;
use Carbon\CarbonImmutable;

/** Puts a hand-over in the outbox and asks a worker to carry it, once this transaction holds. */
final readonly class PostHandover
{
    public function post(Handover $handover): void
    {
        $now = CarbonImmutable::now();
        $message = OutboxMessage::query()->create(['handover_id' => $handover->id, 'queued_at' => $now, 'due_at' => $now]);
        DeliverHandover::dispatch($message->id)->afterCommit();
    }
}
