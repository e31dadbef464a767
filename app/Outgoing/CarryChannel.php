<?php

declare(strict_types=1);

namespace App\Outgoing;

use App\Outgoing\Carriers\Carriers;
use App\Outgoing\Carriers\NotCarried;
use App\Outgoing\Models\Channel;
use App\Outgoing\Models\Delivery;
use App\Outgoing\Models\DeliveryState;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Outgoing\Retries;

/**
 * Carries what waits in a channel, one message after another in the order in which it happened: an order is never told as closed before
 * it is told as released. One that does not arrive holds up those behind it until it does, or is given up. At least once: a worker that
 * is lost after a message arrived brings it again.
 */
final readonly class CarryChannel
{
    /** Of advisory locks: those that this class takes. */
    private const LOCK = 17_094;

    /** A worker has others to serve. */
    private const AT_ONCE = 500;

    private Retries $retries;

    public function __construct(private Carriers $carriers)
    {
        /** @var list<int> $pauses */
        $pauses = config()->array('outgoing.pauses');
        $this->retries = new Retries($pauses);
    }

    /** @return ?int seconds after which to go on; null: nothing is due, or somebody else is at it */
    public function __invoke(int $channel): ?int
    {
        do {
            // One worker at a time, so that the order is kept. The lock goes with the connection of a worker that is lost.
            if (DB::selectOne('SELECT pg_try_advisory_lock(?, ?) AS got', [self::LOCK, $channel])->got !== true) {
                return null;
            }
            try {
                $pause = $this->carryAll($channel);
            } finally {
                DB::select('SELECT pg_advisory_unlock(?, ?)', [self::LOCK, $channel]);
            }
            // What came while the lock was held found it taken.
        } while ($pause === null && self::isDue($channel));

        return $pause;
    }

    private static function isDue(int $channel): bool
    {
        return Channel::query()->whereKey($channel)->value('retired') === false &&
            Delivery::waiting($channel)->first()?->due_at->isFuture() === false;
    }

    /** @return ?int seconds after which to go on; null: nothing is due */
    private function carryAll(int $id): ?int
    {
        for ($count = 0; $count < self::AT_ONCE; $count++) {
            // Asked anew each time: somebody may have set another address.
            $channel = Channel::query()->findOrFail($id);
            $delivery = Delivery::waiting($id)->first();
            if ($delivery === null || $channel->retired) {
                return null;
            }
            if ($delivery->due_at->isFuture()) {
                // Whoever tried in vain comes back; whoever only finds that nothing is due does not, or there were more and more of them.
                return $count === 0 ? null : max(1, (int) ceil(CarbonImmutable::now()->diffInSeconds($delivery->due_at)));
            }
            $this->carry($channel, $delivery);
        }

        return 0;
    }

    private function carry(Channel $channel, Delivery $delivery): void
    {
        $begin = hrtime(true);
        $fault = null;
        $at = CarbonImmutable::now();
        try {
            $said = $this->carriers->to($channel->target)->carry($channel, $delivery);
        } catch (NotCarried $fault) {
            $said = $fault->getMessage();
        } catch (DecryptException $broken) {
            $fault = new NotCarried('The secret cannot be read any more: give it again.', from: $broken);
            $said = $fault->getMessage();
        } catch (\Throwable $broken) {
            // Whatever it was, it is a try: nothing waits for ever without a word.
            report($broken);
            $fault = new NotCarried('It could not be sent. The log says why.', from: $broken);
            $said = $fault->getMessage();
        }
        $took = intdiv(hrtime(true) - $begin, 1_000_000);
        DB::transaction(function () use ($delivery, $fault, $said, $at, $took): void {
            $delivery->attempts()->create(['at' => $at, 'took_ms' => $took, 'arrived' => $fault === null, 'said' => $said]);
            $tries = $delivery->tries + 1;
            $pause = $fault === null || $fault->isFinal ? null : $this->retries->pauseAfter($tries);
            $state = match (true) {
                $fault === null => DeliveryState::Delivered,
                $fault->isFinal => DeliveryState::Refused,
                $pause === null => DeliveryState::GivenUp,
                default => DeliveryState::Waiting,
            };
            $now = CarbonImmutable::now();
            $delivery->update([
                'tries' => $tries,
                'said' => $said,
                'state' => $state,
                'ended_at' => $state === DeliveryState::Waiting ? null : $now,
                'due_at' => $now->addSeconds($pause ?? 0),
            ]);
            if ($state->isUndelivered() && !self::isOneOfSeveral($delivery)) {
                event(new NotDelivered($delivery));
            }
        });
    }

    /** Whether the message before it did not arrive either. */
    private static function isOneOfSeveral(Delivery $delivery): bool
    {
        $before = Delivery::query()->where('channel_id', $delivery->channel_id)->where('id', '<', $delivery->id)->latest('id')->first();

        return $before?->state->isUndelivered() === true;
    }
}
