<?php

declare(strict_types=1);

namespace App\Outgoing;

use App\Ledger\RecordsWritten;
use App\Outgoing\Jobs\CarryDeliveries;
use App\Outgoing\Models\Delivery;
use App\Outgoing\Models\Webhook;
use Illuminate\Database\Eloquent\Builder;
use Orthotaxis\Core\Ledger\Record;
use Orthotaxis\Core\Outgoing\EventChoice;

/** Writes down, in the transaction of the acts themselves, which webhooks are told of them. */
final readonly class TellWebhooks
{
    public function handle(RecordsWritten $written): void
    {
        $records = array_filter(
            $written->records,
            static fn(Record $record): bool => config()->has('events.' . explode('.', $record->act)[0]),
        );
        if ($records === []) {
            return;
        }
        $active = Webhook::query()->whereHas('channel', static fn(Builder $channel): Builder => $channel->where('retired', false));
        foreach ($active->get() as $webhook) {
            $choice = EventChoice::kept($webhook->events);
            $told = array_filter($records, static fn(Record $record): bool => $choice->has($record->act));
            if ($told === []) {
                continue;
            }
            foreach (array_chunk($told, 1_000) as $some) {
                Delivery::query()->insert(
                    array_map(static fn(Record $record): array => EventMessage::of($record)->to($webhook->channel_id), $some),
                );
            }
            CarryDeliveries::dispatch($webhook->channel_id)->afterCommit();
        }
    }
}
