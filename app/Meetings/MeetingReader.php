<?php

declare(strict_types=1);

namespace App\Meetings;

use App\Assessment\Models\Question;
use App\CutIn\Models\CutIn;
use App\Meetings\Data\BoardMeetingRow;
use App\Meetings\Data\MeetingPage;
use App\Meetings\Data\MeetingRow;
use App\Meetings\Models\BoardMeeting;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use App\Vocabulary\Priority;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Assessment\QuestionState;
use Orthotaxis\Core\Change\RequestState;

final readonly class MeetingReader
{
    private const DAYS = 7;

    public function read(): MeetingPage
    {
        $awaiting = ChangeRequest::query()
            ->with(['raisedBy', 'decidedBy', 'path', 'actors'])
            ->where('state', RequestState::Assessing->value)
            ->get()
            ->sortBy(
                static fn(ChangeRequest $request): array => [
                    $request->meeting_place ?? PHP_INT_MAX,
                    Priority::from($request->priority)->rank(),
                    $request->raised_at->getTimestamp(),
                ],
            );
        $decided = ChangeRequest::query()
            ->with(['raisedBy', 'decidedBy', 'path', 'actors'])
            ->whereNotIn('state', [RequestState::Assessing->value, RequestState::Raised->value])
            ->where('decided_at', '>=', CarbonImmutable::now()->subDays(self::DAYS))
            ->orderByDesc('decided_at')
            ->get();

        return new MeetingPage(
            self::rows($awaiting),
            self::rows($decided),
            array_values(
                BoardMeeting::ahead()->get()->map(static fn(BoardMeeting $one): BoardMeetingRow => BoardMeetingRow::of($one))->all(),
            ),
        );
    }

    /**
     * @param  Collection<int, ChangeRequest>  $requests
     * @return list<MeetingRow>
     */
    private static function rows(Collection $requests): array
    {
        $ids = $requests->modelKeys();
        $waiting = Question::query()
            ->whereIn('request_id', $ids)
            ->where('state', QuestionState::Waiting->value)
            ->get(['request_id'])
            ->countBy('request_id');
        $days = CutIn::query()->whereIn('request_id', $ids)->orderBy('id')->get()->keyBy('request_id');

        return $requests
            ->map(
                static fn(ChangeRequest $request): MeetingRow => new MeetingRow(
                    change: $request->row(),
                    finding: $request->finding,
                    waiting: $waiting[$request->id] ?? 0,
                    cut_in: $days->get($request->id)?->chosen_on,
                    decided_by: $request->decidedBy?->name,
                    decided_at: $request->decided_at?->toIso8601String(),
                    decision_reason: $request->decision_reason,
                    path: $request->path?->name,
                    judges: array_values($request->actors->map(static fn(Person $one): string => $one->name)->all()),
                ),
            )
            ->values()
            ->all();
    }
}
