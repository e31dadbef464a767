<?php

declare(strict_types=1);

namespace App\Meetings\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** What awaits the decision of the board, in the order in which it takes it, and what it decided lately. */
#[OA\Schema]
final readonly class MeetingPage
{
    /**
     * @param  list<MeetingRow>  $awaiting
     * @param  list<MeetingRow>  $decided  of the last seven days, newest first
     * @param  list<BoardMeetingRow>  $meetings  to come, the next first
     */
    public function __construct(
        #[ListOf(MeetingRow::class)] public array $awaiting,
        #[ListOf(MeetingRow::class)] public array $decided,
        #[ListOf(BoardMeetingRow::class)] public array $meetings,
    ) {}
}
