<?php

declare(strict_types=1);

namespace App\HandoverProfiles\Actions;

use App\HandoverProfiles\Events\HandoverProfileSet;
use App\HandoverProfiles\Models\HandoverProfile;
use App\HandoverProfiles\WantedProfile;
use App\Http\Stale;
use App\Ledger\Ledger;
use App\Outgoing\Jobs\CarryDeliveries;
use App\Outgoing\Models\Channel;
use App\Outgoing\Models\Purpose;
use App\Outgoing\Models\TargetKind;
use App\People\Models\Person;
use Orthotaxis\Core\Refusal;

/** Says what another system gets of hand-overs, and where. */
final readonly class SetHandoverProfile
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param  ?int  $version  that was on screen; null: it is new
     *
     * @throws Refusal at the field that cannot be so
     * @throws Stale when somebody has changed it since that version
     */
    public function set(Person $by, string $code, WantedProfile $wanted, ?int $version): Channel
    {
        return $this->ledger->together(static function () use ($by, $code, $wanted, $version): Channel {
            $channel = Channel::toSet($code, Purpose::Files, $version);
            // What opens one target is not sent to another.
            $stays = $channel->exists && $channel->target === $wanted->target && $channel->address === $wanted->address;
            $secret = match (true) {
                $wanted->target === TargetKind::Folder => ['secret' => null],
                $wanted->secret === null && $stays => [],
                default => ['secret' => $wanted->secret === '' ? null : $wanted->secret],
            };
            if ($wanted->target === TargetKind::Sftp && ($secret === [] ? !$channel->hasSecret() : $secret['secret'] === null)) {
                throw Refusal::at(
                    'secret',
                    $channel->exists
                        ? 'Give the password or private key again: the target is another one.'
                        : 'Give a password or a private key.',
                );
            }
            $channel
                ->fill([
                    'name' => $wanted->name,
                    'target' => $wanted->target,
                    'address' => $wanted->address,
                    'login' => $wanted->target === TargetKind::Sftp ? $wanted->login : '',
                    ...$secret,
                    'host_key' => $wanted->target === TargetKind::Sftp ? $wanted->hostKey : '',
                    'retired' => $wanted->retired,
                    'version' => $channel->version + 1,
                ])
                ->save();
            HandoverProfile::query()->updateOrCreate(['channel_id' => $channel->id], $wanted->columns());
            event(
                new HandoverProfileSet(
                    $by->login,
                    $code,
                    name: $wanted->name,
                    target: $wanted->target->value,
                    address: $wanted->address,
                    moments: $wanted->moments,
                    structures: $wanted->profile->structures,
                    plants: $wanted->profile->plants,
                    fields: $wanted->fields(),
                    format: $wanted->profile->format,
                    fileName: $wanted->profile->name->pattern,
                    secret: $wanted->secret !== null,
                    retired: $wanted->retired,
                ),
            );
            CarryDeliveries::dispatch($channel->id)->afterCommit();

            return $channel;
        });
    }
}
