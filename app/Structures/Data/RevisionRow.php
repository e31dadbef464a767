<?php

declare(strict_types=1);

namespace App\Structures\Data;

use App\Structures\Models\Revision;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Calendar\Day;

/** One line of an item's history of revisions. */
#[OA\Schema]
final readonly class RevisionRow
{
    private function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $status,
        #[OA\Property] public ?string $first_day,
        #[OA\Property] public ?string $last_day,
        #[OA\Property] public ?string $released_at,
        #[OA\Property] public ?string $released_by,
        #[OA\Property] public ?string $order,
        #[OA\Property] public string $reason,
    ) {}

    public static function of(Revision $revision): self
    {
        return new self(
            $revision->code,
            $revision->status->value,
            $revision->effective_from,
            $revision->effective_to === null ? null : (string) Day::parse($revision->effective_to)->plusDays(-1),
            $revision->released_at?->toIso8601String(),
            $revision->releasedBy?->name,
            $revision->order?->number,
            $revision->reason,
        );
    }
}
