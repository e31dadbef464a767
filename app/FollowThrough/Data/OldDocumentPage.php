<?php

declare(strict_types=1);

namespace App\FollowThrough\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** What in planning still names what an order replaced. */
#[OA\Schema]
final readonly class OldDocumentPage
{
    /** @param  list<OldDocumentRow>  $rows */
    public function __construct(
        #[OA\Property] public string $order,
        #[OA\Property(description: 'the title of the order')] public string $title,
        #[OA\Property(description: 'how many in all that were asked for')] public int $total,
        #[OA\Property(description: 'how many before these were left out')] public int $from,
        #[ListOf(OldDocumentRow::class)] public array $rows,
        #[OA\Property(description: 'how many nobody has decided on')] public int $open,
        #[OA\Property(description: 'how many are decided and not seen to')] public int $decided,
        #[OA\Property(description: 'how many are seen to')] public int $seen,
        #[OA\Property(description: 'when planning told it; null: not yet')] public ?string $read_at,
        #[OA\Property(description: 'planning is being asked')] public bool $reading,
        #[OA\Property(description: 'why planning could not be read last; empty: it could')] public string $fault,
        #[OA\Property(description: 'whether this person may decide')] public bool $may,
        #[OA\Property(description: 'whether this person may tell planning')] public bool $may_tell,
    ) {}
}
