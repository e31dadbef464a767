<?php

declare(strict_types=1);

namespace App\HandoverProfiles\Actions;

use App\HandoverProfiles\Events\HandoverProfileUsed;
use App\HandoverProfiles\KeptDocument;
use App\HandoverProfiles\Models\HandoverProfile;
use App\Ledger\Ledger;
use App\Outgoing\Models\Channel;
use App\People\Models\Person;
use App\Releases\Models\Handover;
use Illuminate\Database\Eloquent\Builder;
use Orthotaxis\Core\Refusal;

/** Sends what a profile takes of a past hand-over: to try it out, or for a system that came later. */
final readonly class SendPastHandover
{
    public function __construct(private WriteProfileFiles $files, private Ledger $ledger) {}

    public function send(Person $by, string $code, string $handover): Channel
    {
        return $this->ledger->together(function () use ($by, $code, $handover): Channel {
            $profile = HandoverProfile::query()
                ->with('channel')
                ->whereHas('channel', static fn(Builder $channel): Builder => $channel->where('code', $code))
                ->firstOrFail();
            if ($profile->channel->retired) {
                throw Refusal::at('hand_over', "{$profile->channel->name} is retired: nothing goes there.");
            }
            $past = Handover::query()->where('name', $handover)->first() ?? throw Refusal::at('hand_over', 'There is no such hand-over.');
            if (!$this->files->write($profile, $past, KeptDocument::of($past))) {
                throw Refusal::at('hand_over', 'Nothing of it is for this profile.');
            }
            event(new HandoverProfileUsed($by->login, $code, $handover));

            return $profile->channel;
        });
    }
}
