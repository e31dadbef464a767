<?php

declare(strict_types=1);

namespace App\Structures\Data;

use App\Structures\Models\Revision;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Revision\Phase;

/** One line of an item's history of revisions. */
#[OA\Schema]
final readonly class RevisionRow
{
    private function __construct(
        #[OA\Property] public string $code,
        #[OA\Property(enum: Phase::class, description: 'what it is on the day asked for')] public string $status,
        #[OA\Property] public ?string $first_day,
        #[OA\Property] public ?string $last_day,
        #[OA\Property] public ?string $released_at,
        #[OA\Property] public ?string $released_by,
        #[OA\Property] public ?string $order,
        #[OA\Property] public string $reason,
    ) {}

    public static function of(Revision $revision, Day $day): self
    {
        return new self(
            code: $revision->code,
            status: $revision->dated()->phase($day)->value,
            first_day: $revision->effective_from,
            last_day: $revision->effective_to === null ? null : (string) Day::parse($revision->effective_to)->plusDays(-1),
            released_at: $revision->released_at?->toIso8601String(),
            released_by: $revision->releasedBy?->name,
            order: $revision->order?->number,
            reason: $revision->reason,
        );
    }
}
