<?php

declare(strict_types=1);

namespace App\Meetings\Data;

use App\Meetings\Models\BoardMeeting;
use OpenApi\Attributes as OA;

/** When and where the board meets. */
#[OA\Schema]
final readonly class BoardMeetingRow
{
    private function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $starts_at,
        #[OA\Property] public int $minutes,
        #[OA\Property] public string $place,
    ) {}

    public static function of(BoardMeeting $meeting): self
    {
        return new self($meeting->id, $meeting->starts_at->toIso8601String(), $meeting->minutes, $meeting->place);
    }
}
