<?php

declare(strict_types=1);

namespace App\Meetings\Actions;

use App\Ledger\Ledger;
use App\Meetings\Events\MeetingCalledOff;
use App\Meetings\Events\MeetingSet;
use App\Meetings\Models\BoardMeeting;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Refusal;

/** Says when the board meets, and calls it off. */
final readonly class SetMeetings
{
    public function __construct(private Ledger $ledger) {}

    /** @throws Refusal when it meets then already */
    public function add(Person $by, CarbonImmutable $startsAt, int $minutes, string $place): void
    {
        $this->ledger->together(static function () use ($by, $startsAt, $minutes, $place): void {
            DB::select("SELECT pg_advisory_xact_lock(hashtext('board meetings'))");
            $meeting = BoardMeeting::query()->where('starts_at', $startsAt)->first();
            if ($meeting?->called_off === false) {
                throw Refusal::at('time', 'It meets then already.');
            }
            BoardMeeting::query()->updateOrCreate(
                ['starts_at' => $startsAt],
                ['minutes' => $minutes, 'place' => $place, 'called_off' => false],
            );
            event(new MeetingSet($by->login, 'meeting', starts_at: $startsAt->toIso8601String(), minutes: $minutes, place: $place));
        });
    }

    public function callOff(Person $by, int $id): void
    {
        $this->ledger->together(static function () use ($by, $id): void {
            $meeting = BoardMeeting::ahead()->lockForUpdate()->findOrFail($id);
            $meeting->update(['called_off' => true]);
            event(new MeetingCalledOff($by->login, 'meeting', $meeting->starts_at->toIso8601String()));
        });
    }
}
