<?php

declare(strict_types=1);

namespace App\Outgoing\Actions;

use App\Ledger\Ledger;
use App\Outgoing\EventMessage;
use App\Outgoing\Events\DeliveriesSentAgain;
use App\Outgoing\Jobs\CarryDeliveries;
use App\Outgoing\Models\Channel;
use App\Outgoing\Models\Delivery;
use App\Outgoing\Models\DeliveryState;
use App\Outgoing\Models\Purpose;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Orthotaxis\Core\Refusal;

/** Sends what another system did not get once more, or something to try it out. */
final readonly class SendDeliveries
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param  list<int>  $ids  none: all that did not arrive, or wait
     *
     * @throws Refusal when nothing of it has to be sent
     */
    public function again(Person $by, string $code, array $ids): Channel
    {
        return $this->ledger->together(static function () use ($by, $code, $ids): Channel {
            $channel = Channel::query()->where('code', $code)->lockForUpdate()->firstOrFail();
            if ($channel->retired) {
                throw Refusal::at('ids', "{$channel->name} is retired: nothing goes there.");
            }
            $now = CarbonImmutable::now();
            $sent = Delivery::query()
                ->where('channel_id', $channel->id)
                ->when(
                    $ids === [],
                    static fn(Builder $some): Builder => $some->where('state', '<>', DeliveryState::Delivered),
                    static fn(Builder $some): Builder => $some->whereIn('id', $ids),
                )
                ->update(['state' => DeliveryState::Waiting, 'tries' => 0, 'due_at' => $now, 'ended_at' => null]);
            if ($sent === 0) {
                throw Refusal::at('ids', 'Nothing of it has to be sent.');
            }
            event(new DeliveriesSentAgain($by->login, $code, $sent));
            CarryDeliveries::dispatch($channel->id)->afterCommit();

            return $channel;
        });
    }

    /** An event of nothing, to see whether it arrives. */
    public function trial(Person $by, string $code): Channel
    {
        return $this->ledger->together(static function () use ($by, $code): Channel {
            $channel = Channel::query()->where('code', $code)->where('purpose', Purpose::Events)->firstOrFail();
            if ($channel->retired) {
                throw Refusal::at('code', "{$channel->name} is retired: nothing goes there.");
            }
            Delivery::query()->insert(EventMessage::trial($by->login, $code)->to($channel->id));
            CarryDeliveries::dispatch($channel->id)->afterCommit();

            return $channel;
        });
    }
}
