<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\HandoverProfiles\Actions\SendPastHandover;
use App\HandoverProfiles\Actions\SetHandoverProfile;
use App\HandoverProfiles\WantedProfile;
use App\Outgoing\Actions\SendDeliveries;
use App\Outgoing\Actions\SetWebhook;
use App\Outgoing\Models\Channel;
use App\Outgoing\Models\Delivery;
use App\Outgoing\Models\DeliveryState;
use App\Outgoing\Models\TargetKind;
use App\People\Models\Person;
use App\Releases\Models\Handover;
use Illuminate\Database\Seeder;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Handover\Format;
use Orthotaxis\Core\Handover\Profile;

/**
 * Other systems that are told: planning, of events and with a file of all that is released; the line control at Weir, with a folder; a
 * supplier's portal that moved away, so that messages to it come back, or were tried often enough.
 */
final class SystemsSeeder extends Seeder
{
    public function run(SetWebhook $webhooks, SetHandoverProfile $profiles, SendPastHandover $past, SendDeliveries $send): void
    {
        $ivo = Person::query()->where('login', 'ivo.tanner')->firstOrFail();
        $planning = config()->string('orthotaxis.planning.url');
        $webhooks->set(
            $ivo,
            'planning_events',
            name: 'Planning, events',
            address: "{$planning}/events",
            events: ['order.*', 'hand_over.*', 'revision.released', 'change_notice.issued'],
            retired: false,
            version: null,
        );
        // The stand-in knows this one, so that it can check what it gets.
        Channel::query()
            ->where('code', 'planning_events')
            ->firstOrFail()
            ->update(['secret' => 'whsec_' . config()->string('orthotaxis.planning.token')]);
        $webhooks->set(
            $ivo,
            'supplier_portal',
            name: 'Supplier portal',
            address: "{$planning}/moved-away",
            events: ['order.released', 'change_notice.issued'],
            retired: false,
            version: null,
        );
        $profiles->set(
            $ivo,
            'weir_line',
            $this->profile('Line control, Weir', TargetKind::Folder, 'weir/line-control', 'csv', [
                'moments' => ['taken'],
                'structures' => [Subject::MANUFACTURING],
                'plants' => ['Weir'],
                'fields' => [
                    'operation',
                    'operationTitle',
                    'workCentre',
                    'find',
                    'component',
                    'quantity',
                    'unit',
                    'setUp',
                    'run',
                    'runPer',
                ],
            ]),
            null,
        );
        $profiles->set(
            $ivo,
            'planning_files',
            $this->profile('Planning, archive', TargetKind::Http, "{$planning}/files", 'json', [
                'moments' => ['released', 'documents', 'corrected'],
                'secret' => config()->string('orthotaxis.planning.token'),
            ]),
            null,
        );
        foreach (Handover::query()->where('kind', 'release')->orderByDesc('id')->limit(3)->pluck('name') as $name) {
            $past->send($ivo, 'planning_files', $name);
        }
        $built = Handover::query()
            ->whereHas(
                'entries',
                static fn($entry) => $entry->where('record->structure', Subject::MANUFACTURING)->where('record->plant', 'Weir'),
            )
            ->orderByDesc('id')
            ->limit(2)
            ->pluck('name');
        foreach ($built as $name) {
            $past->send($ivo, 'weir_line', $name);
        }
        // What was tried over the weekend.
        $send->trial($ivo, 'supplier_portal');
        Delivery::query()
            ->whereRelation('channel', 'code', 'supplier_portal')
            ->update([
                'state' => DeliveryState::GivenUp,
                'tries' => 9,
                'said' => 'It does not answer.',
                'written_at' => now()->subDays(5),
                'ended_at' => now()->subDay(),
            ]);
    }

    /**
     * @param  array{moments: list<string>, structures?: list<string>, plants?: list<string>, fields?: list<string>,
     *     secret?: string}  $some
     */
    private function profile(string $name, TargetKind $target, string $address, string $format, array $some): WantedProfile
    {
        return new WantedProfile(
            name: $name,
            target: $target,
            address: $address,
            login: '',
            secret: $some['secret'] ?? null,
            hostKey: '',
            moments: $some['moments'],
            profile: Profile::of(
                $some['structures'] ?? Profile::STRUCTURES,
                $some['plants'] ?? [],
                $some['fields'] ?? [],
                Format::from($format),
                '{order}_{day}_{number}',
            ),
            retired: false,
        );
    }
}
