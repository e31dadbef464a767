<?php

declare(strict_types=1);

namespace App\Outgoing\Actions;

use App\Http\Stale;
use App\Ledger\Ledger;
use App\Outgoing\Events\WebhookSecretRenewed;
use App\Outgoing\Events\WebhookSet;
use App\Outgoing\Jobs\CarryDeliveries;
use App\Outgoing\Models\Channel;
use App\Outgoing\Models\Purpose;
use App\Outgoing\Models\TargetKind;
use App\Outgoing\Models\Webhook;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Outgoing\EventChoice;
use Orthotaxis\Core\Outgoing\WebhookSignature;
use Orthotaxis\Core\Refusal;

/** Says of which events another system is told, and where. */
final readonly class SetWebhook
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param  list<string>  $events
     * @param  ?int  $version  that was on screen; null: it is new
     *
     * @throws Refusal when there is no such event, or a channel with this code already
     * @throws Stale when somebody has changed it since that version
     */
    public function set(Person $by, string $code, string $name, string $address, array $events, bool $retired, ?int $version): Channel
    {
        /** @var array<string, list<string>> $known */
        $known = config()->array('events');
        $choice = EventChoice::of($events, $known);

        return $this->ledger->together(static function () use ($by, $code, $name, $address, $choice, $retired, $version): Channel {
            $channel = Channel::toSet($code, Purpose::Events, $version);
            $channel
                ->fill([
                    'name' => $name,
                    'target' => TargetKind::Http,
                    'address' => $address,
                    'retired' => $retired,
                    'version' => $channel->version + 1,
                    ...$channel->exists ? [] : ['secret' => self::newSecret()],
                ])
                ->save();
            Webhook::query()->updateOrCreate(['channel_id' => $channel->id], ['events' => $choice->chosen]);
            event(new WebhookSet($by->login, $code, name: $name, address: $address, events: $choice->chosen, retired: $retired));
            CarryDeliveries::dispatch($channel->id)->afterCommit();

            return $channel;
        });
    }

    /** The old secret signs too for a while, so that the receiver can change over without losing anything. */
    public function renewSecret(Person $by, string $code): Channel
    {
        return $this->ledger->together(static function () use ($by, $code): Channel {
            $channel = Channel::query()->where('code', $code)->where('purpose', Purpose::Events)->lockForUpdate()->firstOrFail();
            $channel->update([
                // One that cannot be read any more signs nothing.
                'former_secret' => rescue(static fn(): ?string => $channel->secret, report: false),
                'former_until' => CarbonImmutable::now()->addHours(config()->integer('outgoing.former_secret_hours')),
                'secret' => self::newSecret(),
                'version' => $channel->version + 1,
            ]);
            event(new WebhookSecretRenewed($by->login, $code));

            return $channel;
        });
    }

    private static function newSecret(): string
    {
        return WebhookSignature::secret(random_bytes(WebhookSignature::LENGTH));
    }
}
