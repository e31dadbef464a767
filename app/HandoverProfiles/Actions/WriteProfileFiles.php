<?php

declare(strict_types=1);

namespace App\HandoverProfiles\Actions;

use App\HandoverProfiles\KeptDocument;
use App\HandoverProfiles\Models\HandoverProfile;
use App\HandoverProfiles\Models\Moment;
use App\Outgoing\Jobs\CarryDeliveries;
use App\Outgoing\Models\Delivery;
use App\Outgoing\Models\DeliveryState;
use App\Releases\Models\Handover;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Handover\Document;

/** Writes the files of profiles, in the transaction of what they tell of, and asks workers to carry them. */
final readonly class WriteProfileFiles
{
    public function at(Moment $moment, Handover $handover): void
    {
        $profiles = HandoverProfile::at($moment)->get();
        if ($profiles->isEmpty()) {
            return;
        }
        $document = KeptDocument::of($handover);
        foreach ($profiles as $profile) {
            $this->write($profile, $handover, $document);
        }
    }

    /** @return bool whether something of it is for the profile */
    public function write(HandoverProfile $profile, Handover $handover, Document $document): bool
    {
        $core = $profile->core();
        $selected = $core->select($document);
        if ($selected === null) {
            return false;
        }
        $now = CarbonImmutable::now();
        // Taken in the same transaction: no number is left out, and none is given twice.
        $number = (int) DB::selectOne(
            'UPDATE handover_profiles SET last_number = last_number + 1 WHERE channel_id = ? RETURNING last_number',
            [$profile->channel_id],
        )->last_number;
        Delivery::query()->create([
            'channel_id' => $profile->channel_id,
            'name' => $core->name->for($selected, $number, $core->format),
            'what' => $handover->name,
            'subject' => $document->order,
            'media_type' => $core->format->mediaType(),
            'content' => $core->format->write($selected),
            'written_at' => $now,
            'due_at' => $now,
            'state' => DeliveryState::Waiting,
        ]);
        CarryDeliveries::dispatch($profile->channel_id)->afterCommit();

        return true;
    }
}
